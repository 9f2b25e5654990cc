'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useReducer, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Point } from '@/core/geometry/point';
import { placeOf } from '@/core/green/edit';
import { partiesOf } from '@/core/green/parties';
import { greenPlanSchema, type GreenPlan } from '@/core/green/plan';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { SavedGreen } from '@/server/data';
import { useKeys } from '@/ui/use-keys';
import { useLeaveWarning } from '../../form/use-leave-warning';
import { NOT_SENT } from '../../form/use-save';
import { saveGreenAction } from '../actions';
import { fitted, zoomed } from '../plan-view';
import { marks, relevant } from './at-risk';
import { Canvas } from './canvas';
import { ConflictsPanel } from './conflicts-panel';
import { EditingContext, Still, type Editing } from './context';
import { edited, editOf } from './editing';
import styles from './editor.module.scss';
import { GreenPanel } from './green-panel';
import { AreaPanel, GroupPanel, HeightPanel, HolePanel } from './item-panels';
import { SavedNote } from './saved-note';
import { ScatterPanel } from './scatter-panel';
import { StationPanel } from './station-panel';
import { ToolBar } from './tool-bar';
import { isDrawing, sayTool, type Tool } from './tools';
import { useFacts } from './use-facts';
import { useView } from './use-view';

type Props = {
  slug: string;
  greenId: string;
  initial: GreenPlan;
  system: UnitSystem;
  paceM: number | null;
  /** What is saved, and when it was; null for a green that is not saved yet. */
  last: { version: number; savedAt: Date } | null;
  /** Games that stand on it. */
  games: readonly { gameId: string; title: string }[];
  /** What can be done with a saved one: files, putting away. */
  tools?: React.ReactNode;
};

/** The plan of a green: drawn, measured, and used to set up games. */
export function GreenEditor({ slug, greenId, initial, system, paceM, last, games, tools }: Props) {
  const [edit, dispatch] = useReducer(edited, initial, editOf);
  const { history, item, tool, corners, notice } = edit;
  const plan = history.now;
  const dragging = history.held !== null;
  const [wrong, setWrong] = useState<ReadonlySet<string>>(new Set());
  const [saved, setSaved] = useState({ plan: initial, last });
  const [saying, setSaying] = useState<{ saved: SavedGreen } | { refused: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const dirty = plan !== saved.plan || saved.last === null;
  useLeaveWarning(plan !== saved.plan);

  const place = useRef<HTMLDivElement>(null);
  const [view, setView] = useView(place, plan);
  const [cross, setCross] = useState<Point>([0, 0]);

  const factsFor = useFacts(plan, system);
  const report = useCallback((field: string, bad: boolean) => {
    setWrong((now) => (now.has(field) === bad ? now : new Set(bad ? [...now, field] : [...now].filter((one) => one !== field))));
  }, []);
  const chosen = item && placeOf(plan, item) ? item : null;
  const context = useMemo<Editing>(
    () => ({
      plan,
      system,
      paceM,
      dragging,
      item: chosen,
      choose: (next) => dispatch({ do: 'choose', item: next }),
      change: (next, tag = null) => dispatch({ do: 'change', plan: next, tag }),
      factsFor,
      report,
    }),
    [plan, system, paceM, dragging, chosen, factsFor, report],
  );

  const problems = useMemo(() => (dragging ? null : (greenPlanSchema.safeParse(plan).error?.issues ?? [])), [plan, dragging]);
  const shape = plan.outline.length >= 3;
  const parties = useMemo(
    () => (shape && plan.stations.length + plan.groups.length > 0 ? partiesOf(plan, factsFor) : []),
    [plan, factsFor, shape],
  );
  const conflicts = useMemo(() => relevant(parties, plan, chosen), [parties, plan, chosen]);
  const marked = useMemo(() => marks(parties, conflicts, plan, chosen), [parties, conflicts, plan, chosen]);

  const take = (tried: Tool) => dispatch({ do: 'take', tool: tried });
  const close = () => dispatch({ do: 'close' });

  const save = async (): Promise<boolean> => {
    setBusy(true);
    const result = await saveGreenAction(slug, greenId, plan, saved.last?.savedAt ?? null).catch(() => null);
    setBusy(false);
    if (!result?.ok) {
      setSaying({ refused: result ? (Object.values(result.fields)[0] ?? NOT_SENT) : NOT_SENT });
      return false;
    }
    setSaying({ saved: result.saved });
    setSaved({ plan, last: result.saved });
    if (saved.last === null) window.history.replaceState(null, '', `/a/${slug}/greens/${greenId}`);
    return true;
  };
  const blocked = problems === null || problems.length > 0 || wrong.size > 0;
  const makeGame = async () => {
    if (dirty && !(await save())) return;
    router.push(`/a/${slug}/games/new?green=${greenId}`);
  };

  useKeys((event) => {
    const typing = event.target instanceof Element && event.target.matches('input, select, textarea');
    const control = event.ctrlKey || event.metaKey;
    if (control && event.key.toLowerCase() === 's') {
      event.preventDefault();
      if (!blocked && dirty && !busy) void save();
    } else if (typing) return;
    else if (control && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      dispatch({ do: event.shiftKey ? 'redo' : 'back' });
    } else if (event.key === 'Escape') dispatch({ do: 'escape' });
    else if (event.key === 'Backspace' && corners.length > 0) dispatch({ do: 'cornerBack' });
    else if ((event.key === 'c' || event.key === 'C') && isDrawing(tool) && !control) close();
    else if (event.key === '+' || event.key === '=') setView(zoomed(view, 1.25));
    else if (event.key === '-') setView(zoomed(view, 0.8));
    else if (event.key === '0') setView(fitted(plan, view.wide, view.high));
  });
  const station = chosen?.kind === 'station' ? plan.stations.find((one) => one.key === chosen.key) : undefined;
  const grouped = plan.groups.length > 0 && tool !== 'scatter';
  const asked = grouped
    ? 'With the groups as they stand'
    : station && `Others at the same time as station ${plan.stations.indexOf(station) + 1}`;
  const warning = asked && <ConflictsPanel conflicts={conflicts} asked={asked} />;

  return (
    <EditingContext value={context}>
      <div className={styles.editor}>
        <div className={styles.left}>
          <Still>
            <ToolBar tool={tool} plan={plan} onTake={take} />
          </Still>
          <div ref={place} className={styles.place}>
            <Canvas
              view={view}
              onView={setView}
              tool={tool}
              corners={corners}
              cross={cross}
              onCross={setCross}
              onPut={(at) => dispatch({ do: 'put', at })}
              onClose={close}
              onDrag={(next) => dispatch({ do: 'drag', plan: next })}
              onDrop={() => dispatch({ do: 'drop' })}
              onRemove={(what) => dispatch({ do: 'remove', item: what })}
              fanned={marked.fanned}
              warned={marked.warned}
            />
            <div className={styles.zoom}>
              <button type="button" aria-label="Zoom in" onClick={() => setView(zoomed(view, 1.4))}>
                +
              </button>
              <button type="button" aria-label="Zoom out" onClick={() => setView(zoomed(view, 1 / 1.4))}>
                −
              </button>
              <button type="button" aria-label="Show all" onClick={() => setView(fitted(plan, view.wide, view.high))}>
                ⤢
              </button>
            </div>
            {isDrawing(tool) && (
              <div className={styles.drawing}>
                <Button variant="outline-dark" disabled={corners.length === 0} onClick={() => dispatch({ do: 'cornerBack' })}>
                  Back one
                </Button>
                <Button disabled={corners.length < 3} onClick={close}>
                  Close it
                </Button>
              </div>
            )}
          </div>
          <p id="plan-hint" className={styles.hint}>
            {notice ? (
              <b role="alert" className="text-danger">
                {notice}
              </b>
            ) : (
              sayTool(tool, corners.length, plan.holes.length)
            )}
          </p>
        </div>
        <div className={styles.right}>
          <Still>
            <div className={styles.head}>
              <h1>{plan.title.trim() || 'A green'}</h1>
              <div className={styles.steps}>
                <button type="button" disabled={history.past.length === 0} onClick={() => dispatch({ do: 'undo' })}>
                  Undo
                </button>
                <button type="button" disabled={history.future.length === 0} onClick={() => dispatch({ do: 'redo' })}>
                  Redo
                </button>
              </div>
            </div>
            <p className="small-print mb-2">{sayGreen(plan, saved.last?.version ?? null)}</p>
          </Still>
          {chosen && (
            <button type="button" className={styles.back} onClick={() => dispatch({ do: 'choose', item: null })}>
              ‹ the whole green
            </button>
          )}
          {grouped && warning}
          {tool === 'scatter' ? (
            <ScatterPanel onPlaced={(placed) => setView(fitted(placed, view.wide, view.high))} onDone={() => take('choose')} />
          ) : !shape ? (
            <p className="empty">Draw the outline of the green first: tap its corners one after another.</p>
          ) : station && plan.holes.some((hole) => hole.key === station.hole) ? (
            <StationPanel key={station.key} station={station}>
              {!grouped && warning}
              {saved.plan.stations.some(({ key }) => key === station.key) && saved.last !== null && (
                <p className="mb-2">
                  <Link
                    href={`/a/${slug}/tools/${factsFor(station).surface === 'green' ? 'putts' : 'landing'}?green=${greenId}&station=${station.key}`}
                  >
                    {factsFor(station).surface === 'green' ? 'Line and pace' : 'Where to land it'}
                  </Link>
                </p>
              )}
            </StationPanel>
          ) : chosen?.kind === 'hole' ? (
            <HolePanel key={chosen.key} hole={plan.holes.find((one) => one.key === chosen.key)!} />
          ) : chosen?.kind === 'group' ? (
            <GroupPanel key={chosen.key} group={plan.groups.find((one) => one.key === chosen.key)!} />
          ) : chosen?.kind === 'area' || (chosen?.kind === 'corner' && chosen.key !== null) ? (
            <AreaPanel key={chosen.key} area={plan.areas.find((one) => one.key === chosen.key)!} />
          ) : chosen?.kind === 'height' ? (
            <HeightPanel key={chosen.index} index={chosen.index} />
          ) : (
            <GreenPanel />
          )}
          {(problems ?? []).length > 0 && (
            <ul className={styles.problems} role="alert">
              {[...new Set(problems!.map((issue) => issue.message))].slice(0, 4).map((message) => (
                <li key={message}>{message}</li>
              ))}
            </ul>
          )}
          {saying && 'refused' in saying && (
            <p role="alert" className="text-danger fw-semibold mt-2">
              {saying.refused}
            </p>
          )}
          <Still>
            <div className={styles.keys}>
              <Button variant={dirty ? 'primary' : 'outline-dark'} disabled={blocked || busy || !dirty} onClick={() => void save()}>
                {dirty ? 'Save the green' : 'Saved'}
              </Button>
              <Button
                variant={dirty ? 'outline-dark' : 'primary'}
                disabled={blocked || busy || plan.stations.length === 0}
                onClick={() => void makeGame()}
              >
                Make a game here
              </Button>
            </div>
            {saying && 'saved' in saying && <SavedNote saved={saying.saved} />}
            {saved.last !== null && (
              <>
                {games.length > 0 && (
                  <p className="small-print mt-3 mb-0">
                    Games on it:{' '}
                    {games.map((game, i) => (
                      <span key={game.gameId}>
                        {i > 0 && ', '}
                        <Link href={`/a/${slug}/games/${game.gameId}`}>{game.title}</Link>
                      </span>
                    ))}
                    . They follow what is saved here.
                  </p>
                )}
                {tools}
              </>
            )}
          </Still>
        </div>
      </div>
    </EditingContext>
  );
}

/** What the green is, in a line. */
function sayGreen({ stimpFt, firmness, holes, stations }: GreenPlan, version: number | null): string {
  return [
    version === null ? 'not saved yet' : `version ${version}`,
    stimpFt !== null && `Stimp ${stimpFt}`,
    firmness,
    `${counted(holes.length, 'hole')}, ${counted(stations.length, 'station')}`,
  ]
    .filter(Boolean)
    .join(' · ');
}
