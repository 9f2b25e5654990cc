/** A number as people write it, with a point or a comma: "2.5", "2,5"; NaN for anything else, hexadecimal and empty included. */
export function decimal(text: string): number {
  const written = text.trim().replace('−', '-');
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(written) ? Number(written.replace(',', '.')) : NaN;
}
