'use client';

import { Button } from 'react-bootstrap';
import { MOST_POINTS, toEdge } from '@/core/geometry/polygon';
import { addCorner, outlineOf, removeItem, rounded, withOutline, type Item } from '@/core/green/edit';
import { oddHole } from '@/core/green/facts';
import { AREA_KINDS, type Area, type AreaKind, type PeopleGroup, type Hole } from '@/core/green/plan';
import { say } from '@/core/golf/words';
import { formatLength } from '@/core/units/format';
import { fromMetres, toMetres, type UnitSystem } from '@/core/units/length';
import { saySize } from '../say-size';
import { useEditing } from './context';
import styles from './editor.module.scss';
import { NumberBox, Pick, TextBox } from './fields';

const shortUnit = (system: UnitSystem) => (system === 'metric' ? 'm' : 'ft');

/** Takes away what is chosen; undo brings it back. */
export function Remove({ item, name }: { item: Item; name: string }) {
  const { plan, change, choose } = useEditing();
  return (
    <Button
      size="sm"
      variant="outline-dark"
      onClick={() => {
        change(removeItem(plan, item));
        choose(null);
      }}
    >
      Remove {name}
    </Button>
  );
}

export function HolePanel({ hole }: { hole: Hole }) {
  const { plan, system, change } = useEditing();
  const i = plan.holes.indexOf(hole);
  const withHole = (more: Partial<Hole>) => ({ ...plan, holes: plan.holes.map((one) => (one === hole ? { ...one, ...more } : one)) });
  const unit = shortUnit(system);
  return (
    <>
      <h2>Hole {hole.label}</h2>
      <p className="small-print mb-2">{formatLength(toEdge(plan.outline, hole.at), unit)} from the nearest edge.</p>
      {oddHole(plan, hole, system).map((text) => (
        <p key={text} className={styles.note}>
          {text}
        </p>
      ))}
      <div className={styles.pair}>
        <TextBox
          id="hole-label"
          label="Called"
          maxLength={12}
          value={hole.label}
          path={`holes.${i}.label`}
          apply={(label) => withHole({ label })}
        />
        <Pick
          id="hole-target"
          label="Is a"
          value={hole.target}
          options={[
            ['hole', 'hole'],
            ['peg', 'peg instead of one'],
          ]}
          onPick={(value) => change(withHole({ target: value as Hole['target'] }))}
        />
      </div>
      <Remove item={{ kind: 'hole', key: hole.key }} name={`hole ${hole.label}`} />
    </>
  );
}

export function GroupPanel({ group }: { group: PeopleGroup }) {
  const { plan, system, change } = useEditing();
  const i = plan.groups.indexOf(group);
  const withGroup = (more: Partial<PeopleGroup>) => ({
    ...plan,
    groups: plan.groups.map((one) => (one === group ? { ...one, ...more } : one)),
  });
  const unit = shortUnit(system);
  return (
    <>
      <h2>Group {group.label}</h2>
      <div className={styles.pair}>
        <TextBox
          id="group-label"
          label="Called"
          maxLength={12}
          value={group.label}
          path={`groups.${i}.label`}
          apply={(label) => withGroup({ label })}
        />
        <Pick
          id="group-station"
          label="Is"
          value={group.station ?? ''}
          options={[['', 'waiting'], ...plan.stations.map((one, n) => [one.key, `at station ${n + 1}`] as const)]}
          onPick={(value) => change(withGroup({ station: value || null }))}
        />
        <NumberBox
          id="group-radius"
          label="Stands within"
          word={unit}
          value={fromMetres(group.radiusM, unit)}
          path={`groups.${i}.radiusM`}
          apply={(value) => withGroup({ radiusM: toMetres(value ?? 0, unit) })}
        />
        <Pick
          id="group-hands"
          label="Plays"
          value={group.hands}
          options={[
            ['right', 'right-handed'],
            ['left', 'left-handed'],
            ['mixed', 'both'],
          ]}
          onPick={(value) => change(withGroup({ hands: value as PeopleGroup['hands'] }))}
        />
      </div>
      <Remove item={{ kind: 'group', key: group.key }} name={`group ${group.label}`} />
    </>
  );
}

export function AreaPanel({ area }: { area: Area }) {
  const { plan, change } = useEditing();
  return (
    <>
      <h2>{area.kind === 'sand' ? 'Bunker' : `Area of ${say(area.kind)}`}</h2>
      <div className={styles.pair}>
        <Pick
          id="area-kind"
          label="Is"
          value={area.kind}
          options={AREA_KINDS.map((kind) => [kind, kind === 'sand' ? 'a bunker' : say(kind)] as const)}
          onPick={(value) =>
            change({ ...plan, areas: plan.areas.map((one) => (one === area ? { ...one, kind: value as AreaKind } : one)) })
          }
        />
      </div>
      <OutlineTools of={area.key} />
      <Remove item={{ kind: 'area', key: area.key }} name={area.kind === 'sand' ? 'the bunker' : 'the area'} />
    </>
  );
}

/** What can be done with an outline: of the green, or of an area by its key. */
export function OutlineTools({ of }: { of: string | null }) {
  const { plan, system, item, change, choose } = useEditing();
  const outline = outlineOf(plan, of) ?? [];
  const corner = item?.kind === 'corner' && item.key === of ? item.index : null;
  return (
    <>
      <p className="small-print mb-2">
        {saySize(outline, system)} · {outline.length} corners. Drag a corner, or choose it and use the arrow keys.
      </p>
      <div className="d-flex flex-wrap gap-2 mb-3">
        <Button
          size="sm"
          variant="outline-dark"
          disabled={outline.length * 4 > MOST_POINTS}
          onClick={() => change(withOutline(plan, of, rounded(outline)))}
        >
          Round it off
        </Button>
        <Button
          size="sm"
          variant="outline-dark"
          disabled={corner === null || outline.length >= MOST_POINTS}
          onClick={() => {
            change(withOutline(plan, of, addCorner(outline, corner!)));
            choose({ kind: 'corner', key: of, index: corner! + 1 });
          }}
        >
          Add a corner
        </Button>
        <Button
          size="sm"
          variant="outline-dark"
          disabled={corner === null || outline.length <= 3}
          onClick={() => {
            change(removeItem(plan, { kind: 'corner', key: of, index: corner! }));
            choose({ kind: 'corner', key: of, index: 0 });
          }}
        >
          Remove the corner
        </Button>
      </div>
    </>
  );
}

export function HeightPanel({ index }: { index: number }) {
  const { plan, system } = useEditing();
  const unit = system === 'metric' ? 'm' : 'in';
  const slope = plan.slope?.by === 'spots' ? plan.slope : null;
  const spot = slope?.spots[index];
  if (!slope || !spot) return null;
  return (
    <>
      <h2>Height {index + 1}</h2>
      <p className="small-print mb-2">Measured from one level for all: a string, or the lowest spot.</p>
      <div className={styles.pair}>
        <NumberBox
          id="height"
          label="Height"
          word={unit}
          value={fromMetres(spot.heightM, unit)}
          path={`slope.spots.${index}.heightM`}
          apply={(value) => ({
            ...plan,
            slope: { ...slope, spots: slope.spots.map((one, i) => (i === index ? { ...one, heightM: toMetres(value ?? 0, unit) } : one)) },
          })}
        />
      </div>
      <Remove item={{ kind: 'height', index }} name="the height" />
    </>
  );
}
