/** The colours of the product. Every other file takes them from here, or from the CSS variables made of them. */
export const tokens = {
  page: '#F3EFE6',
  panel: '#FBF9F4',
  stone: '#E7E0D0',
  past: '#EDE7DA',
  field: '#FFFEFB',
  line: '#D8D1C2',
  line2: '#E6E0D3',
  joint: '#C4BAA5',
  edge: '#857C69',
  ink: '#21262B',
  ink2: '#555A59',
  sea: '#1E4D57',
  seaDeep: '#163B43',
  seaTint: '#DBE5E3',
  terra: '#B0512B',
  terraInk: '#9A4321',
  terraTint: '#F6E8DB',
  ochre: '#7D5A0B',
  ochreMark: '#A87A17',
  olive: '#55622A',
} as const;

export const fonts = {
  text: "'Atkinson Hyperlegible Next Variable', 'Atkinson Hyperlegible Next', system-ui, sans-serif",
  serif: "'Literata Variable', Literata, Georgia, serif",
} as const;
