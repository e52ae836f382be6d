import { modeLrgb, modeRgb, useMode as define, wcagContrast } from 'culori/fn'

define(modeLrgb)
define(modeRgb)

/** WCAG 2.2 contrast ratio of two values (#rrggbb), 1 to 21. */
export const contrast = (a: string, b: string) => wcagContrast(a, b)
