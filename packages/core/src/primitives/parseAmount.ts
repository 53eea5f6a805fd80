/** Plain decimal numbers with a unit of their own: masses and angles. */

export type AmountFault =
  | { code: 'empty' }
  | { code: 'not-a-number'; text: string }
  | { code: 'comma'; text: string }
  | { code: 'out-of-range'; min: number; max: number };

export type AmountReading = { ok: true; value: number; unit?: string } | { ok: false; fault: AmountFault };

/**
 * Reads a number with an optional unit out of `units`, and checks it against `min` and `max`
 * after `convert` has brought it to the unit of the file.
 * `parseAmount('25 lb', ['lb', 'kg'], 0.1, 500, toKgFrom)` gives 11.34 kg.
 */
export function parseAmount(
  text: string,
  units: readonly string[],
  min: number,
  max: number,
  convert: (value: number, unit: string | undefined) => number,
): AmountReading {
  const plain = text.trim().toLowerCase().replace('−', '-');
  if (plain === '') return { ok: false, fault: { code: 'empty' } };
  if (plain.includes(',')) return { ok: false, fault: { code: 'comma', text: text.trim() } };
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+))\s*([a-z°]*)$/.exec(plain);
  const unit = match?.[2] === '' ? undefined : match?.[2];
  if (!match || (unit !== undefined && !units.includes(unit)))
    return { ok: false, fault: { code: 'not-a-number', text: text.trim() } };
  const value = convert(Number(match[1]), unit);
  if (value < min || value > max) return { ok: false, fault: { code: 'out-of-range', min, max } };
  return { ok: true, value, ...(unit === undefined ? {} : { unit }) };
}
