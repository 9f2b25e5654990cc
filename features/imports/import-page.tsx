'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { Alert, Button, Form } from 'react-bootstrap';
import type { TableKind } from '@/core/imports/fields';
import { fieldNamed } from '@/core/imports/fields';
import { playerNamed } from '@/core/imports/match';
import type { Mapping } from '@/core/imports/mapping';
import type { OwnMeasures } from '@/core/measures/read-length';
import { counted, listed } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { ShareBar } from '@/ui/share-bar';
import { ChooseFile } from '../form/choose-file';
import { newId, now } from '../form/ids';
import { saveFile } from '../form/save-file';
import { useReady } from '../form/use-ready';
import { mappingForAction } from './actions';
import { ColumnTable, ForAllRows } from './column-table';
import styles from './imports.module.scss';
import { useSending } from './use-sending';
import { useTable } from './use-table';
import { BadRows, RowsShown } from './what-becomes';
import { WhoIsWhoTable, type WhoIsWho } from './who-is-who';

type Props = {
  slug: string;
  timeZone: string;
  system: UnitSystem;
  own: OwnMeasures;
  players: readonly { id: string; name: string }[];
  games: readonly string[];
};

const KINDS = [
  ['balls', 'balls, one in each row'],
  ['scores', 'scores, without the balls'],
] as const;

/** Brings in a file of balls or scores: what its columns mean, what each row becomes, who is who; then it is sent. */
export function ImportPage({ slug, timeZone, system, own, players, games }: Props) {
  const ready = useReady();
  const router = useRouter();
  const [given] = useState(() => ({ timeZone, nowMs: now(), own }));
  const { table, failed, open, look, close, correct, next, bad } = useTable(given, system);
  const { sent, send, undo, stop, again } = useSending(slug, next);
  const [mapping, setMapping] = useState<Mapping | null>(null);
  const [known, setKnown] = useState(false);
  const [chosen, setChosen] = useState<WhoIsWho>(new Map());
  const [over, setOver] = useState(false);
  const [importId, setImportId] = useState(newId);

  const opened = table?.opened ?? null;
  useEffect(() => {
    if (!opened) return;
    let away = false;
    void mappingForAction(slug, opened.names)
      .catch(() => null)
      .then((answer) => {
        if (away) return;
        const before = answer?.ok ? answer.mapping : null;
        setKnown(before !== null);
        setMapping(before ?? opened.guess[opened.kind]);
      });
    return () => {
      away = true;
    };
  }, [opened, slug]);
  const of = useMemo(() => mapping && JSON.stringify(mapping), [mapping]);
  useEffect(() => {
    if (of) look(JSON.parse(of) as Mapping);
  }, [of, look]);
  useEffect(() => {
    if (sent?.at === 'kept' || sent?.at === 'undone') router.refresh();
  }, [sent?.at, router]);

  const take = (file: File | undefined) => {
    if (!file) return;
    setMapping(null);
    setChosen(new Map());
    setImportId(newId());
    again();
    void open(file);
  };
  const whole = table?.look && table.look.of === of ? table.look.look : null;
  const who: WhoIsWho = new Map(
    (whole?.players ?? []).map(({ name }) => [name, chosen.has(name) ? chosen.get(name)! : (playerNamed(name, players)?.id ?? null)]),
  );

  if (sent)
    return (
      <Progress
        slug={slug}
        sent={sent}
        kind={mapping?.kind ?? 'balls'}
        left={whole?.bad ?? 0}
        onStop={stop}
        onUndo={() => void undo(importId)}
        onAgain={() => {
          close();
          setMapping(null);
          again();
        }}
        onBack={again}
      />
    );

  return (
    <fieldset disabled={!ready} className={styles.page}>
      <div
        className={`${styles.drop} ${over ? styles.over : ''} ${table ? styles.small : ''}`}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          take(event.dataTransfer.files[0]);
        }}
      >
        {table ? (
          <p className="mb-0">
            <b>{table.fileName}</b>
            {whole && `, ${counted(whole.rows, 'row')}`}
            {known && ' · columns read as last time'}
          </p>
        ) : (
          <p>
            Open a table of balls or scores that you kept somewhere else, saved as CSV. You’ll see what every row becomes before anything is
            saved.
          </p>
        )}
        <ChooseFile
          label="A file of balls or scores"
          accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain"
          variant={table ? 'outline-dark' : 'dark'}
          onFile={take}
        >
          {table ? 'Open another' : 'Open a file'}
        </ChooseFile>
      </div>
      {failed && (
        <Alert variant="danger" className="mb-0">
          {failed}
        </Alert>
      )}
      {table && mapping && (
        <>
          <div className={styles.kind}>
            <Form.Group controlId="table-kind">
              <Form.Label>It holds</Form.Label>
              <Form.Select
                value={mapping.kind}
                onChange={({ target }) => setMapping({ ...table.opened.guess[target.value as TableKind], header: mapping.header })}
              >
                {KINDS.map(([value, text]) => (
                  <option key={value} value={value}>
                    {text}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
            <Form.Check
              id="table-head"
              label="The first row names the columns"
              checked={mapping.header}
              onChange={({ target }) => setMapping({ ...mapping, header: target.checked })}
            />
            {(whole?.eitherDate || mapping.dates !== null) && (
              <Form.Group controlId="table-dates">
                <Form.Label>A date such as 3/5/2026 is</Form.Label>
                <Form.Select
                  value={mapping.dates ?? ''}
                  isInvalid={mapping.dates === null}
                  onChange={({ target }) => setMapping({ ...mapping, dates: (target.value || null) as Mapping['dates'] })}
                >
                  <option value="">Choose</option>
                  <option value="dmy">3 May</option>
                  <option value="mdy">5 March</option>
                </Form.Select>
              </Form.Group>
            )}
          </div>
          <div className={styles.halves}>
            <section aria-label="What the columns mean">
              <h2>What the columns mean</h2>
              <ColumnTable
                names={mapping.header ? table.opened.names : table.opened.numbered}
                examples={table.opened.examples}
                mapping={mapping}
                unitless={whole?.unitless ?? []}
                onChange={setMapping}
              />
              <ForAllRows mapping={mapping} players={players.map(({ name }) => name)} games={games} onChange={setMapping} />
            </section>
            <section aria-label="What the rows become" aria-busy={table.reading !== null}>
              <h2>
                What the rows become{' '}
                {whole && whole.good > 0 && (
                  <small>
                    {whole.good.toLocaleString('en')} of {counted(whole.rows, 'row')} can be imported
                  </small>
                )}
              </h2>
              {table.reading !== null && !whole && <ShareBar share={table.reading} label="Reading the file" />}
              {whole && <Asks mapping={mapping} missing={whole.missing} unitless={whole.unitless} eitherDate={whole.eitherDate} />}
              {whole && <RowsShown look={whole} kind={mapping.kind} timeZone={timeZone} />}
              {whole && (
                <BadRows
                  look={whole}
                  mapping={mapping}
                  names={mapping.header ? table.opened.names : table.opened.numbered}
                  onCorrect={(line, cells) => {
                    correct(line, cells);
                    look(mapping);
                  }}
                  onSave={() => void bad(mapping).then((csv) => saveFile('rows-left-out.csv', new Blob([csv], { type: 'text/csv' })))}
                />
              )}
              {whole && whole.players.length > 0 && (
                <>
                  <h2>Who is who</h2>
                  <WhoIsWhoTable named={whole.players} players={players} who={who} onChange={setChosen} />
                </>
              )}
              {whole && whole.good > 0 && (
                <div className={styles.go}>
                  <Button
                    size="lg"
                    onClick={() => {
                      const ids = new Map([...who].map(([name, id]) => [name, id ?? newId()]));
                      void send({
                        importId,
                        fileName: table.fileName.slice(-120),
                        columns: table.opened.names.map((name) => name.slice(0, 200)),
                        mapping,
                        rows: whole.good,
                        players: [...ids],
                        made: [...who].flatMap(([name, id]) => (id === null ? [{ playerId: ids.get(name)!, name }] : [])),
                      });
                    }}
                  >
                    Import {counted(whole.good, mapping.kind === 'balls' ? 'ball' : 'score')}
                  </Button>
                  <p className="small-print mb-0">
                    {whole.bad > 0 && `${counted(whole.bad, 'row')} left out. `}Rows that are already here are skipped. You can undo it
                    afterwards.
                  </p>
                </div>
              )}
            </section>
          </div>
        </>
      )}
    </fieldset>
  );
}

/** What has to be said before anything can be kept. */
function Asks({
  mapping,
  missing,
  unitless,
  eitherDate,
}: {
  mapping: Mapping;
  missing: readonly string[];
  unitless: readonly string[];
  eitherDate: boolean;
}) {
  const label = (name: string) => fieldNamed(mapping.kind, name)?.label.toLowerCase() ?? name;
  if (missing.length + unitless.length === 0 && !eitherDate) return null;
  return (
    <ul className={styles.asks}>
      {missing.length > 0 && <li>Which column says the {listed(missing.map(label))}? Choose it on the left, or say it for all rows.</li>}
      {unitless.length > 0 && <li>In which unit is the {listed(unitless.map(label))}? Choose it beside the column.</li>}
      {eitherDate && <li>A date such as 3/5/2026 could be 3 May or 5 March. Choose above.</li>}
    </ul>
  );
}

const SAYS = { sending: 'Sending the rows', keeping: 'Saving them', undoing: 'Undoing' } as const;

type ProgressProps = {
  slug: string;
  sent: NonNullable<ReturnType<typeof useSending>['sent']>;
  kind: TableKind;
  /** Rows that were left out before anything was sent. */
  left: number;
  onStop: () => void;
  onUndo: () => void;
  onAgain: () => void;
  onBack: () => void;
};

/** How far it is, and what came of it. */
function Progress({ slug, sent, kind, left, onStop, onUndo, onAgain, onBack }: ProgressProps) {
  if (sent.at === 'failed')
    return (
      <Alert variant="danger">
        <p>{sent.why}</p>
        <p>Some rows were already sent. Import the file again to carry on, or undo it.</p>
        <div className="d-flex gap-2">
          <Button variant="dark" onClick={onBack}>
            Back to the file
          </Button>
          <Button variant="outline-dark" onClick={onUndo}>
            Undo
          </Button>
        </div>
      </Alert>
    );
  if (sent.at === 'undone')
    return (
      <div className={styles.done}>
        <p>Undone. Everything from this file has been removed.</p>
        <Button onClick={onAgain}>Open a file</Button>
      </div>
    );
  if (sent.at === 'kept') {
    const nothing = sent.kept === 0;
    return (
      <div className={styles.done}>
        <p>
          <b>{nothing ? 'Nothing new.' : `${counted(sent.kept, kind === 'balls' ? 'ball' : 'score')} imported.`}</b>{' '}
          {sent.known > 0 && `${counted(sent.known, 'row')} ${sent.known === 1 ? 'was' : 'were'} already here. `}
          {left > 0 && `${counted(left, 'row')} left out. `}
          {sent.refused > 0 &&
            `${counted(sent.refused, 'row')} refused: too many balls in one session, or a session that was played here. `}
          {sent.lost > 0 && `${counted(sent.lost, 'row')} got lost on the way: import the file again. What is already here is skipped.`}
        </p>
        <div className="d-flex flex-wrap gap-2">
          <a className="btn btn-primary" href={`/a/${slug}/logbook`}>
            Open the logbook
          </a>
          <Button variant="outline-dark" onClick={onAgain}>
            Open another file
          </Button>
          {!nothing && (
            <Button variant="outline-dark" onClick={onUndo}>
              Undo this import
            </Button>
          )}
        </div>
      </div>
    );
  }
  return (
    <div className={styles.done} aria-live="polite">
      <p>
        {SAYS[sent.at]}: {Math.round(100 * sent.share)}%
      </p>
      <ShareBar share={sent.share} label={SAYS[sent.at]} />
      {sent.at !== 'undoing' && (
        <Button variant="outline-dark" onClick={onStop}>
          Stop and undo
        </Button>
      )}
    </div>
  );
}
