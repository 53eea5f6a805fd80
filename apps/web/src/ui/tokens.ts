import { createContext, useContext } from 'react';

/** Colours, sizes and type of Steddo; they feed Paper, the drawings and, later, the sheets. */
export interface Palette {
  ground: string;
  raised: string;
  sheet: string;
  hairline: string;
  ink: string;
  soft: string;
  /** What the hand does next. Nothing else has this colour. */
  action: string;
  onAction: string;
  tape: string;
  tapeEdge: string;
  onTape: string;
  wood: string;
  go: string;
  /** What is only to do: no warning, and no go. */
  todo: string;
  caution: string;
  stop: string;
  onVerdict: string;
  shade: string;
  /** Under a finger, over anything. */
  press: string;
}

export const light: Palette = {
  ground: '#F2EDE3',
  raised: '#E8E1D3',
  sheet: '#FAF8F4',
  hairline: '#C9C0AE',
  ink: '#25231F',
  soft: '#5F594E',
  action: '#1F4F6E',
  onAction: '#FFFFFF',
  tape: '#EAD9A0',
  tapeEdge: '#CDB86E',
  onTape: '#25231F',
  wood: '#B98B5A',
  go: '#37653A',
  todo: '#5A564D',
  caution: '#855500',
  stop: '#9E2A20',
  onVerdict: '#FFFFFF',
  shade: '#25231F66',
  press: '#25231F1F',
};

export const dark: Palette = {
  ground: '#1E2225',
  raised: '#292E32',
  sheet: '#23282B',
  hairline: '#4A5157',
  ink: '#F0EDE6',
  soft: '#B9B5AA',
  action: '#8FC1E0',
  onAction: '#12202A',
  tape: '#D8C483',
  tapeEdge: '#A8945A',
  onTape: '#25231F',
  wood: '#C99A68',
  go: '#8CC48F',
  todo: '#B9B5AA',
  caution: '#E2B04A',
  stop: '#F09184',
  onVerdict: '#1E2225',
  shade: '#00000099',
  press: '#F0EDE61F',
};

export const space = { xs: 4, s: 8, m: 12, l: 16, xl: 24 } as const;

/** Smallest side of anything that a thumb has to hit, px; the one action is taller. */
export const target = 48;
export const actionHeight = 52;

export const font = {
  text: { fontFamily: '"Atkinson Hyperlegible", sans-serif' },
  bold: { fontFamily: '"Atkinson Hyperlegible", sans-serif', fontWeight: '700' },
  figure: { fontFamily: 'B612, "Atkinson Hyperlegible", sans-serif', fontWeight: '700' },
} as const;

export const size = { small: 14, text: 16, title: 20, figure: 20, bigFigure: 24 } as const;

/** From this width on the layout has the drawing and the inputs side by side. */
export const wideFrom = 900;

const PaletteContext = createContext<Palette>(light);
export const PaletteProvider = PaletteContext.Provider;
export const usePalette = (): Palette => useContext(PaletteContext);
