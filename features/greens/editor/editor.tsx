'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Point } from '@/core/geometry/point';
import { faultOf } from '@/core/geometry/polygon';
import { addArea, addGroup, addHeight, addHole, addStation, placeOf, removeItem, type Item } from '@/core/green/edit';
import { partiesOf } from '@/core/green/parties';
import { greenPlanSchema, type GreenPlan } from '@/core/green/plan';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { SavedGreen } from '@/server/data';
import { useLeaveWarning } from '../../form/use-leave-warning';
import { NOT_SENT } from '../../form/use-save';
import { saveGreenAction } from '../actions';
import { fitted, zoomed } from '../plan-view';
import { marks, relevant } from './at-risk';
import { Canvas } from './canvas';
import { ConflictsPanel } from './conflicts-panel';
import { EditingContext, Still, type Editing } from './context';
import styles from './editor.module.scss';
import { GreenPanel } from './green-panel';
import { AreaPanel, GroupPanel, HeightPanel, HolePanel } from './item-panels';
import { SavedNote } from './saved-note';
import { ScatterPanel } from './scatter-panel';
import { StationPanel } from './station-panel';
import { ToolBar } from './tool-bar';
import { isDrawing, puts, sayTool, type Tool } from './tools';
import { useFacts } from './use-facts';
import { usePlan } from './use-plan';
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
  const editing = usePlan(initial);
  const { plan, change } = editing;
  const [item, setItem] = useState<Item | null>(null);
  const [tool, setTool] = useState<Tool>(initial.outline.length === 0 ? { draw: 'green' } : 'choose');
  const [corners, setCorners] = useState<Point[]>([]);
  const [notice, setNotice] = useState<string | null>(null);
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
    () => ({ plan, system, paceM, dragging: editing.dragging, item: chosen, choose: setItem, change, factsFor, report }),
    // `change` only dispatches: it is the same whichever render made it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [plan, system, paceM, editing.dragging, item, factsFor, report],
  );

  const problems = useMemo(
    () => (editing.dragging ? null : (greenPlanSchema.safeParse(plan).error?.issues ?? [])),
    [plan, editing.dragging],
  );
  const shape = plan.outline.length >= 3;
  const parties = useMemo(
    () => (shape && plan.stations.length + plan.groups.length > 0 ? partiesOf(plan, factsFor) : []),
    [plan, factsFor, shape],
  );
  const conflicts = useMemo(() => relevant(parties, plan, chosen), [parties, plan, chosen]);
  const marked = useMemo(() => marks(parties, conflicts, plan, chosen), [parties, conflicts, plan, chosen]);

  const take = (tried: Tool) => {
    setTool(tried);
    setCorners([]);
    setNotice(null);
    if (puts(tried)) setItem(null);
  };
  const close = () => {
    if (!isDrawing(tool)) return;
    const fault = faultOf(corners);
    if (fault) return setNotice(fault);
    if (tool.draw === 'green') {
      change({ ...plan, outline: corners });
      setItem({ kind: 'corner', key: null, index: 0 });
    } else {
      const added = addArea(plan, tool.draw, corners);
      change(added.plan);
      setItem(added.item);
    }
    setTool('choose');
    setCorners([]);
    setNotice(null);
  };
  const put = (at: Point) => {
    setNotice(null);
    if (isDrawing(tool)) {
      const first = corners[0];
      if (first && corners.length >= 3 && Math.hypot(first[0] - at[0], first[1] - at[1]) < 1e-6) return close();
      return setCorners([...corners, at]);
    }
    const added =
      tool === 'hole'
        ? addHole(plan, at)
        : tool === 'station'
          ? addStation(plan, at)
          : tool === 'group'
            ? addGroup(plan, at)
            : tool === 'height'
              ? addHeight(plan, at, 0)
              : null;
    if (!added) return setNotice('Put a hole down first: a station plays to one.');
    change(added.plan);
    setItem(added.item);
    // A height is written down at once; of the others usually several are put down in a row.
    if (tool === 'height' || tool === 'group') setTool('choose');
  };
  const remove = (what: Item) => {
    change(removeItem(plan, what));
    setItem(what.kind === 'corner' ? { ...what, index: 0 } : null);
  };

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

  // On the window: what was focused may be gone, as after removing it.
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const typing = event.target instanceof Element && event.target.matches('input, select, textarea');
    const control = event.ctrlKey || event.metaKey;
    if (control && event.key.toLowerCase() === 's') {
      event.preventDefault();
      if (!blocked && dirty && !busy) void save();
    } else if (typing) return;
    else if (control && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      if (event.shiftKey) editing.redo();
      else if (corners.length > 0) setCorners(corners.slice(0, -1));
      else editing.undo();
    } else if (event.key === 'Escape') {
      if (puts(tool)) take('choose');
      else setItem(null);
    } else if (event.key === 'Backspace' && corners.length > 0) setCorners(corners.slice(0, -1));
    else if ((event.key === 'c' || event.key === 'C') && isDrawing(tool) && !control) close();
    else if (event.key === '+' || event.key === '=') setView(zoomed(view, 1.25));
    else if (event.key === '-') setView(zoomed(view, 0.8));
    else if (event.key === '0') setView(fitted(plan, view.wide, view.high));
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, []);
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
              onPut={put}
              onClose={close}
              onDrag={editing.drag}
              onDrop={editing.drop}
              onRemove={remove}
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
                <Button variant="outline-dark" disabled={corners.length === 0} onClick={() => setCorners(corners.slice(0, -1))}>
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
                <button type="button" disabled={!editing.canUndo} onClick={editing.undo}>
                  Undo
                </button>
                <button type="button" disabled={!editing.canRedo} onClick={editing.redo}>
                  Redo
                </button>
              </div>
            </div>
            <p className="small-print mb-2">{sayGreen(plan, saved.last?.version ?? null)}</p>
          </Still>
          {chosen && (
            <button type="button" className={styles.back} onClick={() => setItem(null)}>
              ‹ the whole green
            </button>
          )}
          {grouped && warning}
          {tool === 'scatter' ? (
            <ScatterPanel onDone={() => take('choose')} />
          ) : !shape ? (
            <p className="empty">Draw the outline of the green first: tap its corners one after another.</p>
          ) : station && plan.holes.some((hole) => hole.key === station.hole) ? (
            <StationPanel key={station.key} station={station}>
              {!grouped && warning}
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
