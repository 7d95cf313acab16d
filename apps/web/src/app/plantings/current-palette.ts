import type { Ink, Palette } from './painter';

const variables: Readonly<Record<Ink, string>> = {
  ink: '--fn-ink',
  faint: '--fn-faint-ink',
  line: '--fn-line',
  green: '--fn-green',
  ochre: '--fn-ochre',
  madder: '--fn-madder',
  water: '--fn-water',
  paper: '--fn-paper',
};

/** The colours of the look that the page has now. */
export function currentPalette(): Palette {
  const styles = getComputedStyle(document.documentElement);
  return Object.fromEntries(
    Object.entries(variables).map(([ink, variable]) => [ink, styles.getPropertyValue(variable).trim() || '#000']),
  ) as unknown as Palette;
}
