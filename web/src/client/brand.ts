import { createTheme, darken, type Theme } from '@mui/material/styles';
import { theme } from '../shared/theme';

/** The look with the colour that the business chose for its pages; the usual one where it chose none. */
export function branded(accent: string): Theme {
  if (!accent) return theme;
  return createTheme(theme, { palette: { primary: { main: accent, dark: darken(accent, 0.25) } } });
}

/** The same for what is styled by the sheet: its variables, on the element that holds the page. */
export function brandVariables(accent: string): Record<string, string> {
  if (!accent) return {};
  return {
    '--sea': accent,
    '--sea-deep': `color-mix(in srgb, ${accent} 75%, black)`,
    '--sea-tint': `color-mix(in srgb, ${accent} 14%, white)`,
  };
}
