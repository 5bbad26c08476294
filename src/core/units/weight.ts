import { OUNCE, POUND, type System } from './factors';
import { readNumber } from './fraction';
import type { Parsed } from './length';

/**
 * Reads a weight as people write it: `44 lb`, `2 lb 6 oz`, `20 kg`, `650 g`, `1½ lb`; a bare number takes the system's own unit.
 *
 * @returns kilograms, or the sentence that says what was not understood
 */
export function parseWeight(text: string, system: System): Parsed {
  const typed = text.trim().toLowerCase();
  const example = system === 'us' ? '44 lb or 2 lb 6 oz' : '20 kg or 650 g';
  const refuse: Parsed = {
    ok: false,
    sentence: `“${text.trim().slice(0, 40)}” is not a weight Zaprud can read. Write it like ${example}.`,
  };
  if (typed === '') return { ok: false, sentence: `A weight is needed here, for example ${example}.` };
  const negative = /^[-−–]/.test(typed);
  const body = typed.replace(/^[-−–+]\s*/, '');
  const two = /^(\d+)\s*(?:lb|lbs|pound|pounds)[\s,]*([\d.,/ ½¼¾]+)\s*(?:oz|ounce|ounces)$/.exec(body);
  if (two) {
    const ounces = readNumber(two[2] ?? '');
    return ounces === null ? refuse : signed(Number(two[1]) * POUND + ounces * OUNCE, negative);
  }
  const one = /^([\d.,/ ½¼¾⅛⅜⅝⅞⅓⅔]+?)\s*(lb|lbs|pound|pounds|oz|ounce|ounces|kg|g)?$/.exec(body);
  const amount = one ? readNumber(one[1] ?? '') : null;
  if (!one || amount === null) return refuse;
  const unit = one[2] ?? (system === 'us' ? 'lb' : 'kg');
  const factor = unit === 'kg' ? 1 : unit === 'g' ? 0.001 : unit.startsWith('o') ? OUNCE : POUND;
  return signed(amount * factor, negative);
}

const signed = (value: number, negative: boolean): Parsed => ({ ok: true, value: negative ? -value : value });

/** Writes a weight: pounds to the half from 10 lb, pounds and ounces below; kilograms to a tenth, grams below 1 kg. */
export function printWeight(kilograms: number, system: System): string {
  if (system === 'metric') return kilograms < 1 ? `${Math.round(kilograms * 1000)} g` : `${Math.round(kilograms * 10) / 10} kg`;
  const pounds = kilograms / POUND;
  if (pounds >= 10) return `${Math.round(pounds * 2) / 2} lb`;
  const ounces = Math.round(kilograms / OUNCE);
  const whole = Math.floor(ounces / 16);
  const rest = ounces - whole * 16;
  if (whole === 0) return `${rest} oz`;
  return rest === 0 ? `${whole} lb` : `${whole} lb ${rest} oz`;
}

/** A force as it is felt: pounds or newtons. @param newtons N @source 1 lbf = 4.4482216152605 N */
export const printForce = (newtons: number, system: System): string =>
  system === 'us' ? `${Math.round(newtons / 4.4482216152605)} lb` : `${Math.round(newtons)} N`;
