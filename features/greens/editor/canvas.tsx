'use client';

import { memo, useEffect, useEffectEvent, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useGesture } from '@use-gesture/react';
import type { Point } from '@/core/geometry/point';
import type { Party } from '@/core/green/conflicts';
import { groupAt, gripsOf, moveItem, outlineOf, placeOf, sameItem, type Item } from '@/core/green/edit';
import type { GreenPlan, PlanStation } from '@/core/green/plan';
import { formatLength } from '@/core/units/format';
import { Ground } from '../ground';
import { Fanned, GroupMark, HoleMark, PlayLine, ScaleTape, StationMark, TapeLine } from '../marks';
import { panned, toPixels, toPlan, zoomed, type PlanView } from '../plan-view';
import { useEditing } from './context';
import styles from './editor.module.scss';
import { arrowOf, onGrid, sayPlace, stepM } from './say-place';
import { isDrawing, puts, type Tool } from './tools';

type Props = {
  view: PlanView;
  onView: (view: PlanView) => void;
  tool: Tool;
  /** Corners of the outline that is being drawn. */
  corners: readonly Point[];
  /** Where the cross of the keyboard stands. */
  cross: Point;
  onCross: (at: Point) => void;
  onPut: (at: Point) => void;
  onClose: () => void;
  onDrag: (plan: GreenPlan) => void;
  onDrop: () => void;
  onRemove: (item: Item) => void;
  /** Whose fans are drawn. */
  fanned: readonly Party[];
  /** Keys of those who may be hit. */
  warned: ReadonlySet<string>;
};

/** How near to a tap something must be to be meant by it, in pixels: half of 44. */
const NEAR_PX = 22;

/** What a key of an item's element says it is. */
const readItem = (element: Element): Item | null => {
  const text = element.closest('[data-item]')?.getAttribute('data-item');
  return text ? (JSON.parse(text) as Item) : null;
};

/** The plan under the finger: choosing, dragging, putting down, drawing, with pan and zoom, and all of it with keys. */
export function Canvas({ view, onView, tool, corners, cross, onCross, onPut, onClose, onDrag, onDrop, onRemove, fanned, warned }: Props) {
  const { plan, system, item, choose, change } = useEditing();
  const svg = useRef<SVGSVGElement>(null);
  const [keyed, setKeyed] = useState(false);
  const grabbed = useRef<{ item: Item | null; from: Point; at: Point } | null>(null);

  const pixelsOf = ([clientX, clientY]: readonly [number, number]): Point => {
    const box = svg.current!.getBoundingClientRect();
    return [clientX - box.left, clientY - box.top];
  };

  const bind = useGesture(
    {
      onPointerDown: ({ event }) => {
        // Only here is the target what lies under the finger: later events belong to the whole plan.
        setKeyed(false);
        const item = puts(tool) ? null : readItem(event.target as Element);
        const at = item && placeOf(plan, item);
        grabbed.current = { item, from: toPlan(view, pixelsOf([event.clientX, event.clientY])), at: at ?? [0, 0] };
      },
      onDrag: ({ last, tap, xy, pinching, cancel }) => {
        if (pinching) return void cancel();
        const px = pixelsOf(xy);
        const { item: taken, from, at } = grabbed.current ?? { item: null, from: [0, 0] as Point, at: [0, 0] as Point };
        if (tap) {
          grabbed.current = null;
          if (puts(tool)) {
            const start = corners[0] && toPixels(view, corners[0]);
            if (start && corners.length >= 3 && Math.hypot(start[0] - px[0], start[1] - px[1]) < NEAR_PX) onClose();
            else onPut(onGrid(toPlan(view, px), system));
          } else choose(taken);
          return;
        }
        if (taken && !puts(tool)) {
          const now = toPlan(view, px);
          if (!sameItem(taken, item)) choose(taken);
          onDrag(moveItem(plan, taken, onGrid([at[0] + now[0] - from[0], at[1] + now[1] - from[1]], system)));
          if (last) onDrop();
        } else {
          // What was under the finger stays under it.
          const held = toPixels(view, from);
          onView(panned(view, [px[0] - held[0], px[1] - held[1]]));
        }
        if (last) grabbed.current = null;
      },
      onPinch: ({ origin, first, movement: [scale], memo: was }) => {
        const start = first ? view : (was as PlanView);
        onView(zoomed(start, scale, pixelsOf(origin)));
        return start;
      },
    },
    {
      drag: { filterTaps: true, tapsThreshold: 6, pointer: { touch: false, capture: true } },
    },
  );

  // Not through React, whose wheel events can't keep the page from scrolling.
  const onWheel = useEffectEvent((event: WheelEvent) => {
    event.preventDefault();
    onView(zoomed(view, Math.exp(-event.deltaY / 400), pixelsOf([event.clientX, event.clientY])));
  });
  useEffect(() => {
    const element = svg.current!;
    const listener = (event: WheelEvent) => onWheel(event);
    element.addEventListener('wheel', listener, { passive: false });
    return () => element.removeEventListener('wheel', listener);
  }, []);

  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>) => {
    const arrow = arrowOf(event.key);
    const on = readItem(event.target as Element) ?? item;
    if (arrow) {
      event.preventDefault();
      const step = stepM(system, event);
      const by = ([x, y]: Point): Point => [x + arrow[0] * step, y + arrow[1] * step];
      if (puts(tool)) {
        setKeyed(true);
        onCross(by(cross));
      } else if (on) {
        const at = placeOf(plan, on);
        if (at) change(moveItem(plan, on, by(at)), `move ${JSON.stringify(on)}`);
        choose(on);
      } else onView(panned(view, [-arrow[0] * 40, arrow[1] * 40]));
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      if (puts(tool)) onPut(cross);
      else choose(readItem(event.target as Element));
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && !puts(tool) && on) {
      event.preventDefault();
      onRemove(on);
    }
  };

  const { outline, fringeM, areas, slope, around } = plan;
  const ground = useMemo(() => ({ outline, fringeM, areas, slope, around }), [outline, fringeM, areas, slope, around]);
  const chosen = item?.kind === 'station' ? plan.stations.find((one) => one.key === item.key) : undefined;
  const edited = item?.kind === 'corner' || item?.kind === 'area' ? item.key : null;
  const showsGrips = tool === 'choose' && (item?.kind === 'corner' || item?.kind === 'area');
  return (
    <>
      <svg
        {...bind()}
        ref={svg}
        className={styles.map}
        width={view.wide}
        height={view.high}
        viewBox={`0 0 ${view.wide} ${view.high}`}
        role="application"
        aria-label="The plan from above"
        aria-describedby="plan-hint"
        tabIndex={0}
        data-view={JSON.stringify(view)}
        data-puts={puts(tool) || undefined}
        onKeyDown={onKeyDown}
        onFocus={(event) => setKeyed(event.target.matches(':focus-visible'))}
      >
        <Ground plan={ground} view={view} system={system} />
        <AreaTargets areas={plan.areas} view={view} active={tool === 'choose'} />
        <Fanned parties={fanned} view={view} />
        {plan.stations.map((station) => {
          const hole = plan.holes.find((one) => one.key === station.hole);
          return hole && <StationLine key={station.key} from={station.at} to={hole.at} view={view} />;
        })}
        {chosen && <ChosenTape station={chosen} view={view} />}
        {plan.holes.map((hole) => {
          const [x, y] = toPixels(view, hole.at);
          const own: Item = { kind: 'hole', key: hole.key };
          return (
            <Target key={hole.key} item={own} x={x} y={y} name={`Hole ${hole.label}`} chosen={sameItem(item, own)}>
              <HoleMark x={x} y={y} label={hole.label} peg={hole.target === 'peg'} chosen={sameItem(item, own)} />
            </Target>
          );
        })}
        {plan.slope?.by === 'spots' &&
          plan.slope.spots.map((spot, index) => {
            const [x, y] = toPixels(view, spot.at);
            const own: Item = { kind: 'height', index };
            const says = formatLength(spot.heightM, system === 'metric' ? 'm' : 'ft', 2);
            return (
              <Target key={index} item={own} x={x} y={y} name={`Height ${index + 1}, ${says}`} chosen={sameItem(item, own)}>
                <path
                  d={`M${x - 6},${y + 5} h12 l-6,-11z`}
                  fill={sameItem(item, own) ? 'var(--ink)' : 'var(--card)'}
                  stroke="var(--ink)"
                  strokeWidth={1.6}
                />
                <text x={x + 9} y={y + 5} fontSize={12} fill="var(--ink)" stroke="var(--green)" strokeWidth={3} paintOrder="stroke">
                  {says}
                </text>
              </Target>
            );
          })}
        {plan.stations.map((station, i) => (
          <StationTarget
            key={station.key}
            station={station}
            no={i + 1}
            view={view}
            chosen={chosen === station}
            warned={warned.has(station.key)}
          />
        ))}
        {plan.groups.map((group) => {
          const [x, y] = toPixels(view, groupAt(plan, group));
          const own: Item = { kind: 'group', key: group.key };
          return (
            <Target
              key={group.key}
              item={own}
              x={x}
              y={y}
              // At a station the station lies on top: the group is taken by its tag.
              r={group.station === null ? Math.max(NEAR_PX, group.radiusM * view.perM) : 0}
              name={`Group ${group.label}`}
              chosen={sameItem(item, own)}
            >
              <GroupMark
                x={x}
                y={y}
                r={group.radiusM * view.perM}
                label={group.label}
                plays={group.station !== null}
                chosen={sameItem(item, own)}
                warned={warned.has(group.key)}
              />
            </Target>
          );
        })}
        {showsGrips &&
          gripsOf(outlineOf(plan, edited) ?? []).map((index) => {
            const [x, y] = toPixels(view, outlineOf(plan, edited)![index]!);
            const own: Item = { kind: 'corner', key: edited, index };
            return (
              <Target key={`c${index}`} item={own} x={x} y={y} name={`Corner ${index + 1}`} chosen={sameItem(item, own)}>
                <rect
                  x={x - 7}
                  y={y - 7}
                  width={14}
                  height={14}
                  fill={sameItem(item, own) ? 'var(--ink)' : 'var(--card)'}
                  stroke="var(--ink)"
                  strokeWidth={2}
                />
              </Target>
            );
          })}
        {isDrawing(tool) && <Draft corners={corners} view={view} />}
        {puts(tool) && keyed && <Cross at={cross} view={view} />}
        <ScaleTape view={view} system={system} />
      </svg>
      <p className="visually-hidden" role="status">
        {puts(tool) && keyed ? sayPlace(cross, system) : ''}
      </p>
    </>
  );
}

type TargetProps = { item: Item; x: number; y: number; r?: number; name: string; chosen: boolean; children: React.ReactNode };

/** Something on the plan that can be taken hold of, large enough for a thumb. */
function Target({ item, x, y, r = NEAR_PX, name, chosen, children }: TargetProps) {
  return (
    <g data-item={JSON.stringify(item)} role="button" tabIndex={0} aria-label={name} aria-pressed={chosen} className={styles.target}>
      <circle cx={x} cy={y} r={r} fill="transparent" />
      {children}
    </g>
  );
}

type StationTargetProps = { station: PlanStation; no: number; view: PlanView; chosen: boolean; warned: boolean };

const StationTarget = memo(function StationTarget({ station, no, view, chosen, warned }: StationTargetProps) {
  const [x, y] = toPixels(view, station.at);
  return (
    <Target item={{ kind: 'station', key: station.key }} x={x} y={y} name={`Station ${no}`} chosen={chosen}>
      <StationMark x={x} y={y} no={no} chosen={chosen} warned={warned} />
    </Target>
  );
});

const StationLine = memo(function StationLine({ from, to, view }: { from: Point; to: Point; view: PlanView }) {
  const [[x1, y1], [x2, y2]] = [toPixels(view, from), toPixels(view, to)];
  return <PlayLine x1={x1} y1={y1} x2={x2} y2={y2} />;
});

function ChosenTape({ station, view }: { station: PlanStation; view: PlanView }) {
  const { plan, factsFor, system } = useEditing();
  if (plan.holes.every((hole) => hole.key !== station.hole)) return null;
  return <TapeLine ball={station.at} facts={factsFor(station)} view={view} system={system} />;
}

/** The shapes themselves, to be tapped; drawn unseen over the ground. */
const AreaTargets = memo(function AreaTargets({ areas, view, active }: { areas: GreenPlan['areas']; view: PlanView; active: boolean }) {
  if (!active) return null;
  const path = (outline: readonly Point[]) =>
    outline.length < 3 ? '' : `M${outline.map((point) => toPixels(view, point).join(',')).join('L')}Z`;
  return areas.map((area) => (
    <path
      key={area.key}
      d={path(area.outline)}
      data-item={JSON.stringify({ kind: 'area', key: area.key })}
      fill="transparent"
      className={styles.target}
    />
  ));
});

/** An outline while it is being drawn. */
function Draft({ corners, view }: { corners: readonly Point[]; view: PlanView }) {
  const points = corners.map((corner) => toPixels(view, corner));
  return (
    <g pointerEvents="none">
      <path
        d={points.length < 2 ? '' : `M${points.map((point) => point.join(',')).join('L')}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2.2}
      />
      {points.map(([x, y], i) => (
        <circle
          key={i}
          cx={x}
          cy={y}
          r={i === 0 ? 9 : 5}
          fill={i === 0 ? 'var(--tape)' : 'var(--card)'}
          stroke="var(--ink)"
          strokeWidth={2}
        />
      ))}
    </g>
  );
}

/** Where the keyboard would put something. */
function Cross({ at, view }: { at: Point; view: PlanView }) {
  const [x, y] = toPixels(view, at);
  return (
    <g pointerEvents="none" stroke="var(--ink)" strokeWidth={2}>
      <circle cx={x} cy={y} r={9} fill="var(--tape)" />
      <path d={`M${x - 28},${y} h16 m24,0 h16 M${x},${y - 28} v16 m0,24 v16`} />
    </g>
  );
}
