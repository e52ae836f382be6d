import { clampChroma, formatHex, modeHsl, modeLrgb, modeOklch, modeRgb, parse, useMode as define } from 'culori/fn'
import { failed, type Outcome } from '../values'

define(modeLrgb)
const rgb = define(modeRgb)
const hsl = define(modeHsl)
const oklch = define(modeOklch)

/** A colour as it is written in each of the ways that are taken: hex, RGB 0 to 255, HSL, OKLCH. */
export function written(hex: string): { hex: string; rgb: string; hsl: string; oklch: string } {
  const byte = (value: number) => Math.round(value * 255)
  const { r, g, b } = rgb(hex)!
  const { h = 0, s, l } = hsl(hex)!
  const lch = oklch(hex)!
  const number = (value: number, digits: number) => String(Number(value.toFixed(digits)))
  return {
    hex,
    rgb: `rgb(${byte(r)} ${byte(g)} ${byte(b)})`,
    hsl: `hsl(${number(h, 1)} ${number(s * 100, 1)}% ${number(l * 100, 1)}%)`,
    oklch: `oklch(${number(lch.l, 4)} ${number(lch.c, 4)} ${number(lch.h ?? 0, 2)})`,
  }
}

const loose = (text: string) => {
  const bare = text.trim().toLowerCase()
  if (/^#?[0-9a-f]{3}$|^#?[0-9a-f]{6}$/.test(bare)) return bare.startsWith('#') ? bare : `#${bare}`
  const numbers = /^(\d{1,3})[\s,;]+(\d{1,3})[\s,;]+(\d{1,3})$/.exec(bare)
  return numbers ? `rgb(${numbers[1]} ${numbers[2]} ${numbers[3]})` : bare
}

/**
 * Reads a colour written as hex (with or without #), rgb(), hsl(), oklch() or three numbers 0 to 255; what a screen cannot show comes to
 * the nearest that it can.
 */
export function readColor(text: string): Outcome<string> {
  const found = parse(loose(text))
  if (!found || (found.alpha !== undefined && found.alpha < 1))
    return failed(
      `“${text.trim()}” is no colour that can be read. Write it as #12615c, rgb(18 97 92), hsl(176 69% 23%) or oklch(0.45 0.08 190).`,
    )
  const direct = rgb(found)!
  const within = [direct.r, direct.g, direct.b].every(value => value >= -0.002 && value <= 1.002)
  const shown = formatHex(within ? direct : clampChroma(oklch(found)!, 'oklch'))
  return shown ? { ok: true, value: shown } : failed(`“${text.trim()}” is no colour that can be read.`)
}
