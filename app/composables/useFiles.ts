/** Hands a text or a picture to the user as a file. */
export function saveFile(name: string, content: string | Blob, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** Lets the user choose a file and gives its text; null where none is chosen. */
export function chooseFile(accept: string): Promise<string | null> {
  return new Promise(resolve => {
    const input = document.createElement('input')
    input.type = 'file'
    input.accept = accept
    input.addEventListener('change', () => {
      void (input.files?.[0]?.text() ?? Promise.resolve(null)).then(resolve, () => resolve(null))
    })
    input.addEventListener('cancel', () => resolve(null))
    input.click()
  })
}
