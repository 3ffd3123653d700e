/** How the page looks on this device: light, dark or as the device has it, and how large its text is. */
export const THEMES = ['as the device', 'light', 'dark'] as const;
export const TEXT_SIZES = ['usual', 'large', 'largest'] as const;

export interface Appearance {
  readonly theme: (typeof THEMES)[number];
  readonly text: (typeof TEXT_SIZES)[number];
}

/** Its name in the browsers that have it already. */
export const APPEARANCE_COOKIE = 'looks';

/** Reads the choice back from a cookie's text; anything unknown falls back to the device's theme and the usual size. */
export function readAppearanceCookie(text: string | undefined): Appearance {
  const [theme, size] = (text ?? '').split('.');
  return {
    theme: THEMES.find((each) => each.replaceAll(' ', '-') === theme) ?? THEMES[0],
    text: TEXT_SIZES.find((each) => each === size) ?? TEXT_SIZES[0],
  };
}

export const appearanceCookieText = ({ theme, text }: Appearance): string => `${theme.replaceAll(' ', '-')}.${text}`;
