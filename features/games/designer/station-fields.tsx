'use client';

import { isPutt, surfacesOf, unitOf } from '@/core/golf/shot-types';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useEffect, useId, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { get, useFieldArray, useFormContext } from 'react-hook-form';
import { sayStation, sayStationLie, saySpot } from '@/core/game/words/say-station';
import { schemeOf, type Scoring } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { MANY_BALLS, MOST_STATIONS, type Station } from '@/core/game/station';
import { elsewhere, missingStations } from '@/core/green/game';
import type { GreenPlan } from '@/core/green/plan';
import { say, SHAPES, SHOT_TYPES, SITS, STANCES, TRAJECTORIES } from '@/core/golf/words';
import { counted, formatLength, nounOf } from '@/core/units/format';
import { fromMetres, toMetres, type UnitSystem } from '@/core/units/length';
import styles from './designer.module.scss';
import { nextStation } from './new-game';
import { ChoiceField, LengthField, NumberField, TextField, useFault } from './parts';
import { usePart, useValue, valueOf } from './values';

/** The id of the grip of a station on the page. */
const gripId = (stationKey: string) => `grip-${stationKey}`;

const words = (list: readonly string[]) => list.map((word) => [word, say(word)] as const);

type Props = {
  units: UnitSystem;
  chosen: string | null;
  onChoose: (key: string | null) => void;
  /** The green on which they stand, if they stand on one. */
  plan: GreenPlan | null;
};

/** The stations of the game, in the order of play; the chosen one is open. */
export function StationFields({ units, chosen, onChoose, plan }: Props) {
  const { control, getValues, formState } = useFormContext<GameSpec>();
  const { fields, append, insert, remove, move } = useFieldArray({ control, name: 'stations', keyName: 'fieldId' });
  const open = usePart('open');
  const fault = useFault('stations');
  const dndId = useId();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const grip = useRef<string | null>(null);
  // A station that was moved with the keyboard keeps the focus on its grip, so that it can be moved on.
  useEffect(() => {
    if (grip.current) document.getElementById(grip.current)?.focus();
    grip.current = null;
  });
  const [removed, setRemoved] = useState<{ station: Station; at: number } | null>(null);
  const stations = () => getValues('stations');
  const add = (at: number, station: Station) => {
    insert(at, station);
    onChoose(station.key);
  };
  const drop = ({ active, over }: DragEndEvent) => {
    const place = (id: unknown) => fields.findIndex((field) => field.fieldId === id);
    if (over && active.id !== over.id) move(place(active.id), place(over.id));
  };
  return (
    <div>
      <DndContext
        id={dndId}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
        modifiers={[restrictToVerticalAxis, restrictToParentElement]}
        accessibility={{ screenReaderInstructions: { draggable: 'Drag to move this station, or press the up and down arrow keys.' } }}
      >
        <SortableContext items={fields.map((field) => field.fieldId)} strategy={verticalListSortingStrategy}>
          <ol className={styles.stations}>
            {fields.map((field, i) => (
              <StationRow
                key={field.fieldId}
                id={field.fieldId}
                index={i}
                last={fields.length - 1}
                units={units}
                wrong={get(formState.errors, `stations.${i}`) !== undefined}
                chosen={field.key === chosen}
                onToggle={() => onChoose(field.key === chosen ? null : field.key)}
                onMove={(to) => move(i, to)}
                onStep={(to) => {
                  grip.current = gripId(field.key);
                  move(i, to);
                }}
                onCopy={() => add(i + 1, { ...stations()[i]!, key: nextStation(stations(), units).key, name: '', note: '' })}
                onRemove={() => {
                  setRemoved({ station: stations()[i]!, at: i });
                  remove(i);
                }}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {fault && (
        <p role="alert" className="text-danger fw-semibold">
          {fault}
        </p>
      )}
      {removed && (
        <p role="status" className="small-print d-flex gap-2 align-items-center">
          Station {removed.at + 1} removed.
          <Button
            size="sm"
            variant="outline-dark"
            onClick={() => {
              add(Math.min(removed.at, fields.length), removed.station);
              setRemoved(null);
            }}
          >
            Undo
          </Button>
        </p>
      )}
      {fields.length === 0 && open && <p className="small-print">The first station is called at the green.</p>}
      {plan && <OnGreen plan={plan} units={units} onAdd={(more) => append(more)} />}
      <Button
        variant="outline-dark"
        disabled={fields.length >= MOST_STATIONS}
        onClick={() => {
          const station = nextStation(stations(), units);
          append(station);
          onChoose(station.key);
        }}
      >
        Add station
      </Button>
    </div>
  );
}

/** Which green the stations stand on, where they differ from its plan, and those of the plan that are not in the game. */
function OnGreen({ plan, units, onAdd }: { plan: GreenPlan; units: UnitSystem; onAdd: (stations: Station[]) => void }) {
  const spec = { stations: usePart('stations') };
  const missing = missingStations(spec, plan, units, 3);
  return (
    <div className="small-print mb-2">
      <p className="mb-1">
        On {plan.title}: stations of its plan follow it.{' '}
        {elsewhere(spec, plan)
          .map(({ stationNo, planM }) => `Station ${stationNo} is ${formatLength(planM, units === 'metric' ? 'm' : 'yd')} on the plan.`)
          .join(' ')}
      </p>
      {missing.length > 0 && (
        <Button size="sm" variant="outline-dark" onClick={() => onAdd(missing)}>
          Add {counted(missing.length, 'more station')} of the plan
        </Button>
      )}
    </div>
  );
}

type RowProps = {
  id: string;
  index: number;
  last: number;
  units: UnitSystem;
  wrong: boolean;
  chosen: boolean;
  onToggle: () => void;
  onMove: (to: number) => void;
  /** With the arrow keys. */
  onStep: (to: number) => void;
  onCopy: () => void;
  onRemove: () => void;
};

function StationRow({ id, index, last, units, wrong, chosen, onToggle, onMove, onStep, onCopy, onRemove }: RowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id });
  const station = useValue<Station | undefined>(`stations.${index}`);
  const scoring = usePart('scoring');
  if (!station) return null;
  const { countsBalls, stationSays } = schemeOf(scoring);
  const known = Number.isFinite(station.distanceM);
  return (
    <li
      ref={setNodeRef}
      className={`${styles.station} ${chosen ? styles.chosen : ''} ${wrong ? styles.wrong : ''} ${isDragging ? styles.dragged : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <div className={styles.stationHead}>
        <button
          type="button"
          ref={setActivatorNodeRef}
          className={styles.grip}
          {...attributes}
          {...listeners}
          id={gripId(station.key)}
          onKeyDown={(event) => {
            const to = event.key === 'ArrowUp' ? index - 1 : event.key === 'ArrowDown' ? index + 1 : -1;
            if (to < 0 || to > last) return;
            event.preventDefault();
            onStep(to);
          }}
          aria-label={`Move station ${index + 1}`}
        >
          <span aria-hidden="true">⋮⋮</span>
        </button>
        <button type="button" className={styles.stationName} aria-expanded={chosen} onClick={onToggle}>
          <span>
            <b>
              {index + 1}. {known ? sayStation(station, units) : say(station.shotType)}
            </b>
            <small>
              {[saySpot(station), sayStationLie(station)].filter(Boolean).join(' · ')}
              {station.target === 'peg' && ' · to a peg'}
              {station.club && ` · ${station.club}`}
              {stationSays.includes('par') && ` · par ${station.par ?? 2}`}
              {wrong && ' · look here'}
            </small>
          </span>
          {countsBalls && (
            <span className={styles.stationBalls}>
              <b className="fig">{Number.isFinite(station.balls) ? station.balls : '?'}</b>
              <small>{nounOf(station.balls, 'ball')}</small>
            </span>
          )}
        </button>
      </div>
      {chosen && (
        <div className={styles.stationOpen}>
          <StationEditor path={`stations.${index}`} station={station} scoring={scoring} />
          <div className={styles.stationTools}>
            <Button
              variant="outline-dark"
              size="sm"
              disabled={index === 0}
              onClick={() => onMove(index - 1)}
              aria-label={`Station ${index + 1} earlier`}
            >
              ↑
            </Button>
            <Button
              variant="outline-dark"
              size="sm"
              disabled={index === last}
              onClick={() => onMove(index + 1)}
              aria-label={`Station ${index + 1} later`}
            >
              ↓
            </Button>
            <Button variant="outline-dark" size="sm" onClick={onCopy}>
              Copy<span className="visually-hidden"> station {index + 1}</span>
            </Button>
            <Button variant="outline-dark" size="sm" onClick={onRemove}>
              Remove<span className="visually-hidden"> station {index + 1}</span>
            </Button>
          </div>
        </div>
      )}
    </li>
  );
}

function StationEditor({ path, station, scoring }: { path: string; station: Station; scoring: Scoring }) {
  const { setValue, getValues, trigger } = useFormContext();
  const wrong = useFault(`${path}.surface`);
  const scheme = schemeOf(scoring);

  /** A putt is on the green and in feet, a bunker shot in sand: what can't be otherwise follows by itself. */
  const followShotType = () => {
    const { shotType, surface, sit, distanceUnit } = valueOf<Station>(getValues, path);
    if (!surfacesOf(shotType).includes(surface)) setValue(`${path}.surface`, surfacesOf(shotType)[0]!);
    if (distanceUnit !== 'm') followUnit(unitOf(shotType, 'imperial'));
    if (!surfacesOf(shotType).includes('sand') && sit === 'buried') setValue(`${path}.sit`, 'clean');
    if (isPutt(shotType)) setValue(`${path}.carryM`, null);
    if (wrong) void trigger(path);
  };
  /** Another unit for the same figures: whoever changes it meant the figures. */
  const followUnit = (unit: Station['distanceUnit']) => {
    const { distanceM, carryM, distanceUnit } = valueOf<Station>(getValues, path);
    if (unit === distanceUnit) return;
    if (Number.isFinite(distanceM)) setValue(`${path}.distanceM`, toMetres(fromMetres(distanceM, distanceUnit), unit));
    if (carryM !== null && Number.isFinite(carryM)) setValue(`${path}.carryM`, toMetres(fromMetres(carryM, distanceUnit), unit));
    setValue(`${path}.distanceUnit`, unit);
  };
  const many = station.balls > MANY_BALLS ? 'Many at one spot: they block the hole, and a groove is not learning.' : '';

  const [named] = useState(() => station.name !== '' || station.note !== '');
  const [special] = useState(
    () =>
      [station.trajectory, station.shape, station.club].some((one) => one !== null) ||
      station.sit !== 'clean' ||
      station.stance !== 'flat' ||
      station.target === 'peg',
  );

  return (
    <>
      <div className={styles.pair}>
        <ChoiceField path={`${path}.shotType`} label="Shot" options={words(SHOT_TYPES)} onChange={followShotType} />
        <ChoiceField path={`${path}.surface`} label="From" options={words(surfacesOf(station.shotType))} />
        <LengthField path={`${path}.distanceM`} label="Distance" unit={station.distanceUnit} />
        <UnitChoice path={path} unit={station.distanceUnit} onChange={followUnit} />
        {scheme.countsBalls && <NumberField path={`${path}.balls`} label="Balls" hint={many} />}
        {scheme.stationSays.includes('carryM') && <LengthField path={`${path}.carryM`} label="Lands at" unit={station.distanceUnit} />}
        {scheme.stationSays.includes('par') && <NumberField path={`${path}.par`} label="Par" />}
      </div>
      <details className={styles.more} open={named}>
        <summary>Hole, name, note</summary>
        <div className={styles.pair}>
          <TextField path={`${path}.hole`} label="Hole" hint="where there are several: B" maxLength={12} />
          <TextField path={`${path}.name`} label="Name" hint="behind the bunker" maxLength={30} />
        </div>
        <TextField path={`${path}.note`} label="Note" hint="land it past the ridge" maxLength={80} />
      </details>
      <details className={styles.more} open={special}>
        <summary>Lie, flight, club</summary>
        <div className={styles.pair}>
          <ChoiceField path={`${path}.sit`} label="Ball" options={words(SITS)} />
          <ChoiceField path={`${path}.stance`} label="Stance" options={words(STANCES)} />
          <ChoiceField path={`${path}.trajectory`} label="Flight" options={[['', 'any'], ...words(TRAJECTORIES)]} />
          <ChoiceField path={`${path}.shape`} label="Shape" options={[['', 'any'], ...words(SHAPES)]} />
          <ChoiceField
            path={`${path}.target`}
            label="Aims at"
            options={[
              ['hole', 'a hole'],
              ['peg', 'a peg'],
            ]}
          />
          {!scheme.clubs && <TextField path={`${path}.club`} label="Fixed club" hint="empty: any" maxLength={20} optional />}
        </div>
      </details>
    </>
  );
}

function UnitChoice({
  path,
  unit,
  onChange,
}: {
  path: string;
  unit: Station['distanceUnit'];
  onChange: (unit: Station['distanceUnit']) => void;
}) {
  return (
    <div>
      <label className="form-label" htmlFor={`${path}-unit`}>
        Unit
      </label>
      <select
        id={`${path}-unit`}
        className="form-select"
        value={unit}
        onChange={(event) => onChange(event.target.value as Station['distanceUnit'])}
      >
        <option value="yd">yards</option>
        <option value="ft">feet</option>
        <option value="m">metres</option>
      </select>
    </div>
  );
}
