import { ESLint } from 'eslint'
import ts from 'typescript-eslint'
import { describe, expect, test } from '@jest/globals'

/** Without the rules that ask for types: none of them is tried here, and they would have all of core read. */
const linter = new ESLint({ overrideConfig: ts.configs.disableTypeChecked })

/** The rules that a file of this text and place would break. */
async function broken(filePath: string, code: string): Promise<string[]> {
  const [result] = await linter.lintText(code, { filePath })
  return (result?.messages ?? []).map(message => message.ruleId ?? message.message)
}

describe('the linter holds the rooms apart', () => {
  test.each([
    [
      'core/measure/angle.ts',
      "import { plan } from '../plan'\nexport const a = plan\n",
      'no-restricted-imports',
    ],
    [
      'core/frame/roof/rafters.ts',
      "import { plan } from '../../plan'\nexport const a = plan\n",
      'no-restricted-imports',
    ],
    ['core/board/saw.ts', "import { ref } from 'vue'\nexport const a = ref\n", 'no-restricted-imports'],
    ['core/output/svg.ts', "import Dexie from 'dexie'\nexport const a = Dexie\n", 'no-restricted-imports'],
    [
      'core/plan/plan.ts',
      "import { useBench } from '../../app/stores/bench'\nexport const a = useBench\n",
      'no-restricted-imports',
    ],
    ['core/plan/plan.ts', 'export const a = Math.random()\n', 'no-restricted-properties'],
    ['core/plan/plan.ts', 'export const a = Date.now()\n', 'no-restricted-globals'],
    ['core/drawing/view.ts', 'export const a = document.title\n', 'no-restricted-globals'],
    ['app/logic/entry.ts', "import Dexie from 'dexie'\nexport const a = Dexie\n", 'no-restricted-imports'],
    ['core/plan/plan.ts', 'export const a = (b: number): boolean => b < 1e-6\n', 'no-restricted-syntax'],
    [
      'core/plan/plan.ts',
      'export const a = (roof: { shape: string }) => roof.shape\n',
      'no-restricted-syntax',
    ],
    [
      'app/logic/entry.ts',
      'export const a = ({ roof: { shape } }: { roof: { shape: string } }) => shape\n',
      'no-restricted-syntax',
    ],
    [
      'core/plan/plan.ts',
      "export const a = (member: { id: string }) => member.id.split('-')\n",
      'no-restricted-syntax',
    ],
    ['core/words/fields.ts', 'export const a = (id: string) => /b/.test(id)\n', 'no-restricted-syntax'],
    [
      'app/logic/entry.ts',
      'export const a = (wall: string) => `walls/${wall}/stud/1`\n',
      'no-restricted-syntax',
    ],
    ['core/frame/memory.ts', "export type { Frame } from './frame'\n", 'house/no-circles'],
    [
      'core/plan/plan.test.ts',
      "import { test } from '@jest/globals'\ntest.only('x', () => {})\n",
      'no-restricted-syntax',
    ],
  ])(
    '%s may not hold: %s',
    async (file, code, rule) => {
      expect(await broken(file, code)).toContain(rule)
    },
    30_000,
  )

  test('an import along the direction is let through', async () => {
    expect(
      await broken('core/plan/plan.ts', "import type { Frame } from '../frame'\nexport type A = Frame\n"),
    ).toEqual([])
  })
})
