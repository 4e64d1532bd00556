import Aura from '@primeuix/themes/aura'
import { definePreset } from '@primeuix/themes'

/** Chalk blue, the layout line's colour, from paper to night. */
const chalk = {
  50: '#eef4f9',
  100: '#d6e5f0',
  200: '#b1cde1',
  300: '#84b0cf',
  400: '#548fb8',
  500: '#2f6f9f',
  600: '#286089',
  700: '#214f72',
  800: '#1b405c',
  900: '#143047',
  950: '#0c1f2f',
}
/** Planed pine to ink, the surfaces. */
const pine = {
  0: '#fffdf8',
  50: '#fbf7ee',
  100: '#f6f1e6',
  200: '#eae2d0',
  300: '#d5cab2',
  400: '#a3997f',
  500: '#6f6a5c',
  600: '#545247',
  700: '#3d4344',
  800: '#2b3840',
  900: '#24313a',
  950: '#1a242b',
}

const preset = definePreset(Aura, {
  primitive: { borderRadius: { none: '0', xs: '2px', sm: '3px', md: '3px', lg: '4px', xl: '4px' } },
  semantic: {
    primary: chalk,
    focusRing: { width: '2px', style: 'solid', color: 'var(--chalk)', offset: '2px' },
    colorScheme: {
      light: {
        surface: pine,
        primary: {
          color: '{primary.500}',
          contrastColor: '#ffffff',
          hoverColor: '{primary.600}',
          activeColor: '{primary.700}',
        },
        text: { color: '#24313a', hoverColor: '#1a242b', mutedColor: '#545247', hoverMutedColor: '#3d4344' },
        formField: {
          background: '#fffdf8',
          borderColor: '#a3997f',
          hoverBorderColor: '#2f6f9f',
          focusBorderColor: '#2f6f9f',
          color: '#24313a',
          placeholderColor: '#6f6a5c',
        },
      },
      dark: {
        surface: { ...pine, 0: '#ffffff', 700: '#46545c', 800: '#33414a', 900: '#26323a', 950: '#1b252c' },
        primary: {
          color: '{primary.300}',
          contrastColor: '#10202c',
          hoverColor: '{primary.200}',
          activeColor: '{primary.100}',
        },
        text: { color: '#f1ead9', hoverColor: '#ffffff', mutedColor: '#c3bda9', hoverMutedColor: '#e0dac6' },
      },
    },
  },
})

export default { preset, options: { darkModeSelector: '.dusk', cssLayer: false } }
