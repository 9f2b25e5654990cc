import Papa from 'papaparse';

/**
 * The lines of a table of text, one after the other, with their cells; blank ones are passed over.
 * @param take is told the line as an editor counts it, from 1; it answers false to end it there
 * @param delimiter what stands between cells; empty: as its first line has it
 */
export function eachLine(text: string, take: (cells: string[], line: number) => boolean | void, delimiter = ''): void {
  const lineAt = lineCounter(text);
  let from = 0;
  Papa.parse<string[]>(text, {
    delimiter: delimiter || delimiterOf(text),
    step({ data: cells, meta }, parser) {
      const line = lineAt(from);
      from = meta.cursor;
      if (cells.every((cell) => cell.trim() === '')) return;
      if (take(cells, line) === false) parser.abort();
    },
  });
}

/** What stands between the cells of its first line that is not blank: notes further down say nothing of that. A comma may be that of a decimal. */
function delimiterOf(text: string): string {
  const start = text.search(/\S/);
  const head = text.slice(Math.max(0, start), start + 20_000);
  let [best, most] = [',', 1];
  for (const delimiter of ['\t', ';', '|', ',']) {
    const cells = Papa.parse<string[]>(head, { delimiter, preview: 1 }).data[0]?.length ?? 0;
    if (cells > most) [best, most] = [delimiter, cells];
  }
  return best;
}

/** Which line a place of a text is in; asked of ever later places. */
function lineCounter(text: string): (at: number) => number {
  let [line, seen] = [1, 0];
  return (at) => {
    for (let next = text.indexOf('\n', seen); next !== -1 && next < at; next = text.indexOf('\n', seen)) {
      line++;
      seen = next + 1;
    }
    return line;
  };
}
