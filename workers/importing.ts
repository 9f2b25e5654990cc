import { writeCells } from '@/core/formats/cells';
import type { Batch } from '@/core/imports/batch';
import { ImportFile, NoTable } from '@/core/imports/import-file';
import type { Mapping } from '@/core/imports/mapping';
import type { Given } from '@/core/imports/rewrite';
import type { UnitSystem } from '@/core/units/length';
import type { FromImport, ToImport } from './import-messages';

/** A file as text: UTF-8, UTF-16 where it says so, else as older spreadsheets write. */
export function textOf(bytes: ArrayBuffer): string {
  const [first, second] = new Uint8Array(bytes.slice(0, 2));
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

const FAILED = 'This file can’t be read. Save it as CSV and try again.';

/**
 * Reads a table as it is asked, a piece at a time; a newer question ends the older.
 * @param post takes what is answered
 * @param breath resolves when messages that were waiting have been taken in
 * @returns takes what is asked
 */
export function importing(post: (message: FromImport) => void, breath: () => Promise<void>): (message: ToImport) => void {
  let file: ImportFile | null = null;
  let given: Given;
  let system: UnitSystem;
  let latest = 0;
  let batches: Generator<Batch> | null = null;

  const trying = (run: () => void) => {
    try {
      run();
    } catch (error) {
      post({ failed: error instanceof NoTable ? error.message : FAILED });
    }
  };

  const open = (message: Extract<ToImport, { open: ArrayBuffer }>) => {
    ({ given, system } = message);
    const opened = new ImportFile(textOf(message.open));
    file = opened;
    const { kind, header } = opened.guess();
    post({
      opened: {
        kind,
        names: opened.names({ header: true }),
        numbered: opened.names({ header: false }),
        examples: opened.examples({ header }),
        guess: { balls: opened.guess('balls'), scores: opened.guess('scores') },
      },
    });
  };

  const look = async (ask: number, mapping: Mapping) => {
    latest = ask;
    try {
      const looking = file!.look(mapping, given, system);
      for (;;) {
        const next = looking.next();
        if (next.done) return post({ ask, look: next.value });
        post({ ask, done: next.value });
        await breath();
        if (latest !== ask) return;
      }
    } catch (error) {
      post({ failed: error instanceof NoTable ? error.message : FAILED });
    }
  };

  const next = (as: Extract<ToImport, { next: true }>['as']) => {
    if (as) {
      const ids = new Map(as.players);
      batches = file!.batches(as.mapping, given, (name) => ids.get(name)!);
    }
    const batch = batches!.next();
    post({ batch: batch.done ? null : batch.value });
  };

  return (message) => {
    if ('open' in message) trying(() => open(message));
    else if (!file) return;
    else if ('correct' in message) file.correct(message.correct, message.cells);
    else if ('look' in message) void look(message.ask, message.look);
    else if ('next' in message) trying(() => next(message.as));
    else trying(() => post({ bad: badTable(file!, message.bad, given) }));
  };
}

/** Rows that can't be kept as a table, with the line and the reason of each: to be put right elsewhere and brought in again. */
function badTable(file: ImportFile, mapping: Mapping, given: Given): string {
  const names = file.names(mapping);
  const columns = [...names.map((_, i) => String(i)), 'line', 'reason'];
  const rows = [...file.badLines(mapping, given)].map(({ line, cells, problems }) => ({
    ...Object.fromEntries(names.map((_, i) => [String(i), cells[i] ?? ''])),
    line,
    reason: problems.map(({ message }) => message).join('; '),
  }));
  const head = Object.fromEntries([
    ...names.map((name, i) => [String(i), name] as const),
    ['line', 'Line'],
    ['reason', 'Why it was left out'],
  ]);
  return writeCells(columns, [head, ...rows], false);
}
