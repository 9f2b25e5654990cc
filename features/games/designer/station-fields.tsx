'use client';

import { isPutt, surfacesOf, unitOf } from '@/core/golf/shot-types';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useEffect, useId, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { get, useFieldArray, useFormContext } from 'react-hook-form';
import { sayGround, sayStation, sayStationLie, saySpot } from '@/core/game/words/say-station';
import { schemeOf, type Scoring } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { NOMINAL_M, saySizeUnit, type OwnLengths } from '@/core/game/sizes';
import { allStations, BREAKS, DISTANCE_UNITS, MANY_BALLS, MOST_STATIONS, SLOPES, type Station } from '@/core/game/station';
import { elsewhere, missingStations } from '@/core/green/game';
import type { GreenPlan } from '@/core/green/plan';
import { say, SHAPES, SHOT_TYPES, SITS, STANCES, TRAJECTORIES } from '@/core/golf/words';
import { counted, formatLength, nounOf } from '@/core/units/format';
import { METRES_PER, snap, type LengthUnit, type UnitSystem } from '@/core/units/length';
import styles from './designer.module.scss';
import { nextStation } from './new-game';
import { ChoiceField, LengthField, NumberField, TextField, useFault } from './parts';
import { LandingHint } from './landing-hint';
import { usePart, useValue, valueOf } from './values';

/** The id of the grip of a station on the page. */
const gripId = (stationKey: string) => `grip-${stationKey}`;

const words = (list: readonly string[]) => list.map((word) => [word, say(word)] as const);

type Props = {
  /** Where the stations stand in the form: those of the game, or those that a phase has of its own. */
  path?: 'stations' | `leadIn.${number}.stations`;
  units: UnitSystem;
  coach: OwnLengths;
  chosen: string | null;
  onChoose: (key: string | null) => void;
  /** The green on which they stand, if they stand on one. */
  plan: GreenPlan | null;
};

/** Stations in the order of play; the chosen one is open. */
export function StationFields({ path = 'stations', units, coach, chosen, onChoose, plan }: Props) {
  const { control, getValues, formState } = useFormContext<GameSpec>();
  // A phase's stations are no other kind: one name serves the types.
  const name = path as 'stations';
  const { fields, append, insert, remove, move } = useFieldArray({ control, name, keyName: 'fieldId' });
  const open = usePart('open');
  const fault = useFault(path);
  const dndId = useId();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const grip = useRef<string | null>(null);
  // A station that was moved with the keyboard keeps the focus on its grip, so that it can be moved on.
  useEffect(() => {
    if (grip.current) document.getElementById(grip.current)?.focus();
    grip.current = null;
  });
  const [removed, setRemoved] = useState<{ station: Station; at: number } | null>(null);
  const stations = () => getValues(name);
  const fresh = () => nextStation(stations(), units, allStations(getValues()));
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
                list={path}
                index={i}
                last={fields.length - 1}
                units={units}
                coach={coach}
                wrong={get(formState.errors, `${path}.${i}`) !== undefined}
                chosen={field.key === chosen}
                onToggle={() => onChoose(field.key === chosen ? null : field.key)}
                onMove={(to) => move(i, to)}
                onStep={(to) => {
                  grip.current = gripId(field.key);
                  move(i, to);
                }}
                onCopy={() => add(i + 1, { ...stations()[i]!, key: fresh().key, name: '', note: '' })}
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
      {fields.length === 0 && open && path === 'stations' && <p className="small-print">The first station is called at the green.</p>}
      {plan && <OnGreen plan={plan} units={units} onAdd={(more) => append(more)} />}
      <Button
        variant="outline-dark"
        disabled={fields.length >= MOST_STATIONS}
        onClick={() => {
          const station = fresh();
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
  list: NonNullable<Props['path']>;
  index: number;
  last: number;
  units: UnitSystem;
  coach: OwnLengths;
  wrong: boolean;
  chosen: boolean;
  onToggle: () => void;
  onMove: (to: number) => void;
  /** With the arrow keys. */
  onStep: (to: number) => void;
  onCopy: () => void;
  onRemove: () => void;
};

function StationRow({ id, list, index, last, units, coach, wrong, chosen, onToggle, onMove, onStep, onCopy, onRemove }: RowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id });
  const station = useValue<Station | undefined>(`${list}.${index}`);
  const scoring = useValue<Scoring>(list.replace(/stations$/, 'scoring'));
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
              {[saySpot(station), sayStationLie(station), sayGround(station, units)].filter(Boolean).join(' · ')}
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
          <StationEditor path={`${list}.${index}`} station={station} scoring={scoring} coach={coach} />
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

type EditorProps = { path: string; station: Station; scoring: Scoring; coach: OwnLengths };

function StationEditor({ path, station, scoring, coach }: EditorProps) {
  const { setValue, getValues, trigger } = useFormContext();
  const wrong = useFault(`${path}.surface`);
  const scheme = schemeOf(scoring);

  /** A putt is on the green and in feet, a bunker shot in sand: what can't be otherwise follows by itself. */
  const followShotType = () => {
    const { shotType, surface, distanceUnit } = valueOf<Station>(getValues, path);
    if (!surfacesOf(shotType).includes(surface)) setValue(`${path}.surface`, surfacesOf(shotType)[0]!);
    if (distanceUnit === 'yd' || distanceUnit === 'ft') followUnit(unitOf(shotType, 'imperial'));
    if (isPutt(shotType)) for (const field of ['carryM', 'edgeM']) setValue(`${path}.${field}`, null);
    else for (const field of ['slope', 'breaks']) setValue(`${path}.${field}`, null);
    if (wrong) void trigger(path);
  };
  /** Another unit for the same figures: whoever changes it meant the figures. */
  const followUnit = (unit: Station['distanceUnit']) => {
    const { distanceUnit, ...now } = valueOf<Station>(getValues, path);
    if (unit === distanceUnit) return;
    const fold = metresOf(unit, coach) / metresOf(distanceUnit, coach);
    for (const field of ['distanceM', 'carryM', 'edgeM'] as const) {
      const metres = now[field];
      if (metres !== null && Number.isFinite(metres)) setValue(`${path}.${field}`, snap(metres * fold));
    }
    setValue(`${path}.distanceUnit`, unit);
  };
  const unit = typedIn(station.distanceUnit, coach);
  const putt = isPutt(station.shotType);
  const many = station.balls > MANY_BALLS ? 'That’s a lot of balls from one spot: they crowd the hole, and a groove isn’t learning.' : '';

  const [named] = useState(() => station.name !== '' || station.note !== '');
  const [special] = useState(
    () =>
      [station.trajectory, station.shape, station.club].some((one) => one !== null) ||
      station.sit !== 'clean' ||
      station.stance !== 'flat' ||
      station.target === 'peg' ||
      [station.edgeM, station.slope, station.breaks].some((one) => one !== null),
  );

  return (
    <>
      <div className={styles.pair}>
        <ChoiceField path={`${path}.shotType`} label="Shot" options={words(SHOT_TYPES)} onChange={followShotType} />
        <ChoiceField path={`${path}.surface`} label="From" options={words(surfacesOf(station.shotType))} />
        <LengthField path={`${path}.distanceM`} label="Distance" unit={unit} />
        <UnitChoice path={path} unit={station.distanceUnit} coach={coach} onChange={followUnit} />
        {scheme.countsBalls && <NumberField path={`${path}.balls`} label="Balls" hint={many} />}
        {scheme.stationSays.includes('carryM') && (
          <div>
            <LengthField path={`${path}.carryM`} label="Lands at" unit={unit} />
            <LandingHint path={path} station={station} />
          </div>
        )}
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
        <summary>{putt ? 'Slope, break, club' : 'Lie, flight, club'}</summary>
        <div className={styles.pair}>
          {putt && <ChoiceField path={`${path}.slope`} label="Slope" options={[['', 'level'], ...words(SLOPES)]} />}
          {putt && <ChoiceField path={`${path}.breaks`} label="Break" options={[['', 'any'], ...words(BREAKS)]} />}
          {!putt && <LengthField path={`${path}.edgeM`} label="To the edge of the green" hint="if it matters" unit={unit} />}
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

type Unit = Station['distanceUnit'];
const isOwn = (unit: Unit): unit is Exclude<Unit, LengthUnit> => unit !== 'yd' && unit !== 'ft' && unit !== 'm';

/** Metres of one unit in which a coach gives distances: of their own pace, club, putter or flagstick where they were measured. */
function metresOf(unit: Unit, coach: OwnLengths): number {
  return isOwn(unit) ? (coach[`${unit}M`] ?? NOMINAL_M[unit]) : METRES_PER[unit];
}

const typedIn = (unit: Unit, coach: OwnLengths) => (isOwn(unit) ? { word: saySizeUnit(unit), metres: metresOf(unit, coach) } : unit);

const UNIT_WORDS = { yd: 'yards', ft: 'feet', m: 'metres' } as const;
const sayUnit = (unit: Unit, coach: OwnLengths) =>
  isOwn(unit) ? `${saySizeUnit(unit)}, ${coach[`${unit}M`] ? 'your own' : 'usual'}` : UNIT_WORDS[unit];

type UnitProps = { path: string; unit: Unit; coach: OwnLengths; onChange: (unit: Unit) => void };

function UnitChoice({ path, unit, coach, onChange }: UnitProps) {
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
        {(['yd', ...DISTANCE_UNITS.filter((one) => one !== 'yd')] as const).map((one) => (
          <option key={one} value={one}>
            {sayUnit(one, coach)}
          </option>
        ))}
      </select>
    </div>
  );
}
