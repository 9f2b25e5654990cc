import { memo } from 'react';
import { along, bearing, ofBearing, type Point } from '@/core/geometry/point';
import { fansOf, type Fans, type Party } from '@/core/green/conflicts';
import type { StationFacts } from '@/core/green/facts';
import { fromMetres, METRES_PER, type UnitSystem } from '@/core/units/length';
import { toPixels, type PlanView } from './plan-view';

/** A hole, or a peg that stands in for one, with its letter. */
export const HoleMark = memo(function HoleMark({
  x,
  y,
  label,
  peg,
  chosen,
}: {
  x: number;
  y: number;
  label: string;
  peg: boolean;
  chosen: boolean;
}) {
  return (
    <>
      {chosen && <circle cx={x} cy={y} r={13} fill="none" stroke="var(--ink)" strokeWidth={2.4} />}
      {peg ? <rect x={x - 6} y={y - 6} width={12} height={12} fill="var(--flag)" /> : <circle cx={x} cy={y} r={7} fill="var(--flag)" />}
      <text
        x={x + 11}
        y={y - 8}
        fontSize={16}
        fontWeight={750}
        fill="var(--ink)"
        stroke="var(--green)"
        strokeWidth={3.5}
        paintOrder="stroke"
      >
        {label}
      </text>
    </>
  );
});

/** A station by its number. */
export const StationMark = memo(function StationMark({
  x,
  y,
  no,
  chosen,
  warned,
}: {
  x: number;
  y: number;
  no: number;
  chosen: boolean;
  warned: boolean;
}) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect
        x={-14}
        y={-14}
        width={28}
        height={28}
        rx={3}
        fill={chosen ? 'var(--ink)' : 'var(--card)'}
        stroke={warned ? 'var(--flag)' : 'var(--ink)'}
        strokeWidth={warned ? 3 : 1.8}
      />
      <text y={5.5} fontSize={16} fontWeight={750} textAnchor="middle" fill={chosen ? '#fff' : 'var(--ink)'}>
        {no}
      </text>
    </g>
  );
});

/** The line along which a station is played. */
export const PlayLine = memo(function PlayLine({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }) {
  return <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--ink)" strokeDasharray="3 5" pointerEvents="none" />;
});

/** The tape from a station to its hole, with a mark where the green begins. */
export function TapeLine({ ball, facts, view, system }: { ball: Point; facts: StationFacts; view: PlanView; system: UnitSystem }) {
  const { distanceM, edgeM } = facts.line;
  const [x, y] = toPixels(view, ball);
  const deg = bearing(ball, facts.hole.at) - 90;
  const unit = system === 'metric' ? 'm' : 'yd';
  const unitPx = METRES_PER[unit] * view.perM;
  const length = distanceM * view.perM;
  const ticks = unitPx < 3 ? 0 : Math.min(120, Math.floor(length / unitPx - 0.2));
  // The figure stands beside the line, upright whichever way it runs.
  const side = ofBearing(deg + 180);
  const normal = [side[0] * 19, -side[1] * 19] as const;
  return (
    <g transform={`translate(${x} ${y}) rotate(${deg})`} pointerEvents="none">
      <rect x={0} y={-6} width={length} height={12} fill="var(--tape)" />
      <path d={tickPath(ticks, unitPx, 1)} stroke="var(--tape-ink)" strokeWidth={0.8} />
      <path d={tickPath(ticks, unitPx, 5)} stroke="var(--tape-ink)" strokeWidth={1.5} />
      {edgeM > 0 && (
        <g transform={`translate(${edgeM * view.perM} 0)`}>
          <line y1={-14} y2={14} stroke="var(--ink)" strokeWidth={2.6} />
          <text
            transform={`rotate(${-deg})`}
            x={normal[0]}
            y={normal[1] + 5}
            fontSize={13}
            fontWeight={700}
            textAnchor={normal[0] > 0 ? 'start' : 'end'}
            fill="var(--ink)"
            stroke="var(--green)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            edge {Math.round(fromMetres(edgeM, unit))} {unit}
          </text>
        </g>
      )}
    </g>
  );
}

/** The marks of a tape, from the first on: all of them short, or every fifth longer. */
function tickPath(ticks: number, unitPx: number, every: 1 | 5): string {
  let path = '';
  for (let i = every; i <= ticks; i += every) path += `M${Math.round(i * unitPx * 10) / 10},6V${every === 1 ? 2 : -3}`;
  return path;
}

/** A part of a disc from a tip, between two compass bearings. */
function fanPath(view: PlanView, tip: Point, fromDeg: number, toDeg: number, reachM: number): string {
  const px = (p: Point) =>
    toPixels(view, p)
      .map((n) => Math.round(n * 10) / 10)
      .join(',');
  const r = reachM * view.perM;
  return `M${px(tip)} L${px(along(tip, ofBearing(fromDeg), reachM))} A${r},${r} 0 0 1 ${px(along(tip, ofBearing(toDeg), reachM))} Z`;
}

/** Where balls of a party may go: filled to five eighths of the reach, hatched beyond and beside; dotted for a shank. */
function FanMarks({ party, fans, view }: { party: Party; fans: Fans; view: PlanView }) {
  const line = bearing(party.at, party.plays!.to);
  const { redDeg, amberDeg, redM, reachM, shankM, shank } = fans;
  return (
    <g pointerEvents="none">
      <path
        d={fanPath(view, party.at, line - amberDeg, line + amberDeg, reachM)}
        fill="url(#amber)"
        stroke="var(--flag)"
        strokeWidth={0.8}
        strokeOpacity={0.5}
      />
      <path d={fanPath(view, party.at, line - redDeg, line + redDeg, redM)} fill="var(--flag)" opacity={0.16} />
      {shank.map((side) => (
        <path
          key={side}
          d={side === 'right' ? fanPath(view, party.at, line, line + 75, shankM) : fanPath(view, party.at, line - 75, line, shankM)}
          fill="none"
          stroke="var(--flag)"
          strokeWidth={1.4}
          strokeDasharray="3 5"
        />
      ))}
    </g>
  );
}

/** The fans of these parties. */
export function Fanned({ parties, view }: { parties: readonly Party[]; view: PlanView }) {
  return (
    <>
      <pattern id="amber" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0,0V7" stroke="var(--flag)" strokeWidth={1.4} opacity={0.32} />
      </pattern>
      {parties.map((party) => {
        const fans = fansOf(party);
        return fans && <FanMarks key={party.key} party={party} fans={fans} view={view} />;
      })}
    </>
  );
}

/** A group: its people within a circle, drawn on the plan to scale. */
export const GroupMark = memo(function GroupMark({
  x,
  y,
  r,
  label,
  plays,
  chosen,
  warned,
}: {
  x: number;
  y: number;
  r: number;
  label: string;
  plays: boolean;
  chosen: boolean;
  warned: boolean;
}) {
  const tag = `${plays ? '' : 'waits '}${label}`;
  return (
    <>
      <circle
        cx={x}
        cy={y}
        r={Math.max(r, 5)}
        fill="var(--level)"
        fillOpacity={0.12}
        stroke={warned ? 'var(--flag)' : 'var(--level)'}
        strokeWidth={chosen ? 3.5 : 2.2}
        strokeDasharray={plays ? undefined : '5 4'}
        pointerEvents={plays ? 'none' : undefined}
      />
      <g transform={`translate(${x + Math.max(r, 18) * 0.72} ${y + Math.max(r, 18) * 0.72})`}>
        <rect x={-3} y={-12} width={tag.length * 7.5 + 36} height={44} fill="transparent" />
        <rect
          x={-3}
          y={-3}
          width={tag.length * 7.5 + 24}
          height={22}
          rx={11}
          fill={chosen ? 'var(--level)' : 'var(--card)'}
          stroke={warned ? 'var(--flag)' : 'var(--level)'}
          strokeWidth={warned ? 2.6 : 1.6}
        />
        <circle cx={9} cy={5.5} r={2.6} fill={chosen ? '#fff' : 'var(--level)'} />
        <path d="M4.5,14 a4.5,4.5 0 0 1 9,0z" fill={chosen ? '#fff' : 'var(--level)'} />
        <text x={17} y={13} fontSize={13} fontWeight={750} fill={chosen ? '#fff' : 'var(--level)'}>
          {tag}
        </text>
      </g>
    </>
  );
});

/** The scale, as a piece of tape: as long as a round number of yards or metres. */
export const ScaleTape = memo(function ScaleTape({ view, system }: { view: PlanView; system: UnitSystem }) {
  const unit = system === 'metric' ? 'm' : 'yd';
  const unitPx = METRES_PER[unit] * view.perM;
  const step = [1, 2, 5, 10, 20].find((one) => one * unitPx >= 24) ?? 20;
  return (
    <g transform={`translate(20 ${view.high - 38})`} pointerEvents="none">
      <rect width={4 * step * unitPx} height={12} fill="var(--tape)" />
      {[0, 1, 2, 3, 4].map((i) => (
        <g key={i} transform={`translate(${i * step * unitPx} 0)`}>
          <line y2={12} stroke="var(--tape-ink)" />
          <text y={26} fontSize={11.5} textAnchor="middle" fill="var(--ink-2)">
            {i * step}
            {i === 4 && ` ${unit}`}
          </text>
        </g>
      ))}
    </g>
  );
});
