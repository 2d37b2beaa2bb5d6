import { createSystem, defaultBaseConfig, defineConfig, mergeConfigs } from '@chakra-ui/react';
import {
  breakpoints,
  buttonRecipe,
  fieldSlotRecipe,
  globalCss,
  inputRecipe,
  nativeSelectSlotRecipe,
  textStyles,
  tokens,
} from '@chakra-ui/react/theme';

const inks = (light: string, dark: string) => ({ value: { _light: light, _dark: dark } });
const sans = "'Source Sans 3 Variable', 'Fern Signs', sans-serif";
const serif = "'Fraunces Variable', 'Fern Signs', serif";

/** The design's tokens: by day on paper, in the evening on the stand. */
const colors = {
  paper: inks('#F7F5EE', '#11201B'),
  sheet: inks('#FFFEFA', '#182B25'),
  sunk: inks('#ECE9DD', '#0C1814'),
  ink: inks('#1D2A25', '#F1EFE4'),
  inkSoft: inks('#55635C', '#A9B8AF'),
  line: inks('#D5D1C2', '#2E443C'),
  fern: inks('#2E6A50', '#7CC2A0'),
  onFern: inks('#FFFEFA', '#11201B'),
  spore: inks('#B97F14', '#E8B34A'),
  sporeText: inks('#8A5C08', '#E8B34A'),
  brick: inks('#A5392B', '#F0897A'),
  partS: inks('#8A3F6B', '#D79ABD'),
  partA: inks('#AD4F28', '#EBA27F'),
  partT: inks('#2C7A86', '#7FC6D0'),
  partB: inks('#4A5A8C', '#A4B3E0'),
};

const of = (ink: keyof typeof colors) => ({ value: `{colors.${ink}}` });
/** The names by which the toolkit's own recipes ask for colours, in the design's inks. */
const toolkit = {
  bg: { DEFAULT: of('paper'), panel: of('sheet'), muted: of('sunk'), subtle: of('sunk') },
  fg: { DEFAULT: of('ink'), muted: of('inkSoft'), subtle: of('inkSoft'), error: of('brick') },
  border: { DEFAULT: of('line'), emphasized: of('inkSoft'), error: of('brick') },
  gray: {
    contrast: of('paper'),
    fg: of('ink'),
    subtle: of('sunk'),
    muted: of('line'),
    emphasized: of('line'),
    solid: of('ink'),
    focusRing: of('fern'),
    border: of('line'),
  },
};

const ours = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html, .chakra-theme)',
  globalCss: {
    ...globalCss,
    html: { bg: 'paper', color: 'ink', fontFamily: 'body', lineHeight: 1.4, fontSize: '15px' },
    'input, select': { accentColor: 'fern' },
    body: { bg: 'paper', color: 'ink', fontVariantNumeric: 'tabular-nums lining-nums' },
    '*': {
      borderColor: 'line',
      '@media (prefers-reduced-motion: reduce)': {
        transitionDuration: '0s !important',
        animationDuration: '0s !important',
      },
    },
    // What is pressed is large enough to be met: by a thumb 44 px, by a pointer 24. A link within a line
    // of text is as high as its line.
    'button, a, select, summary, textarea, input:not([type=checkbox], [type=radio]), label:has(> input:is([type=checkbox], [type=radio]))':
      {
        minHeight: '24px',
        minWidth: '24px',
        alignContent: 'center',
        '@media (pointer: coarse)': {
          minHeight: '44px !important',
          minWidth: '44px !important',
        },
      },
    // What is drawn to scale keeps it (and is reached by steps too); the head keeps to one line.
    '[data-drawn] :is(button, a), button[data-drawn]': {
      '@media (pointer: coarse)': {
        minHeight: '24px !important',
        minWidth: '0 !important',
      },
    },
    'header :is(button, a)': {
      '@media (pointer: coarse)': { minWidth: '24px !important' },
    },
    // While something is pulled what lies around it is painted as it was.
    '[data-pulled] > :not([data-strip])': { isolation: 'isolate' },
    'button, a, input, select, textarea, summary, [tabindex]': {
      // A ring of ink on a ring of paper: whatever lies beneath, one of them stands out.
      _focusVisible: {
        outline: '2px solid',
        outlineColor: 'ink',
        outlineOffset: '1px',
        boxShadow: '0 0 0 5px var(--chakra-colors-sheet)',
      },
    },
  },
  theme: {
    breakpoints,
    textStyles: {
      ...textStyles,
      name: {
        value: {
          fontFamily: 'heading',
          fontWeight: 480,
          fontVariationSettings: "'SOFT' 40",
          lineHeight: 1.25,
        },
      },
    },
    layerStyles: { disabled: { value: { opacity: 0.5, cursor: 'not-allowed' } } },
    semanticTokens: {
      colors: { ...colors, ...toolkit },
      radii: Object.fromEntries(['l1', 'l2', 'l3'].map((name) => [name, { value: '3px' }])),
    },
    tokens: {
      ...tokens,
      fonts: { ...tokens.fonts, heading: { value: serif }, body: { value: sans } },
    },
    recipes: { button: buttonRecipe, input: inputRecipe },
    slotRecipes: { field: fieldSlotRecipe, nativeSelect: nativeSelectSlotRecipe },
  },
});

export const system = createSystem(mergeConfigs(defaultBaseConfig, ours));
