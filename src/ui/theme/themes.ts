/** The three lights people work in. */
export const THEMES = ['bench', 'shed', 'field'] as const;
export type Theme = (typeof THEMES)[number];
export const THEME_COOKIE = 'tolvan-theme';

export const asTheme = (value: string | undefined): Theme =>
  THEMES.find((t) => t === value) ?? 'bench';
