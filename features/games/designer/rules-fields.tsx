'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useFormContext, useWatch } from 'react-hook-form';
import { phasesOf } from '@/core/game/phases';
import { isOutAndBack, SIDES, type Rules } from '@/core/game/rules';
import { schemeOf, type Scoring } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { stationUnit } from '@/core/game/words/say-station';
import { saySide } from '@/core/game/words/say-game';
import { isBodyMeasure, SIZE_UNITS, saySizeUnit, sizeStepM, unitM, type Sizes } from '@/core/game/sizes';
import { fromMetres, snap, type UnitSystem } from '@/core/units/length';
import styles from './designer.module.scss';
import { LengthInput } from '@/ui/length-input';
import { ChoiceField, NumberField, Toggle, useFault } from './parts';
import { usePart, valueOf } from './values';

const ORDER_OPTIONS = {
  blocked: 'station after station',
  serial: 'out and back, one ball where you turn',
  serial_twice: 'out and back, two balls where you turn',
  random: 'random, never twice running',
  choice: 'the player chooses',
} as const;

/** Which rules are worth showing: those that the way of scoring can have. */
function rulesFor(scoring: Scoring, open: boolean, stations: number) {
  const { allows, orders, puttedOut, without } = schemeOf(scoring);
  const can = allows(scoring);
  return {
    ...can,
    puttedOut,
    perfect: can.perfect && !open && stations > 0,
    orders: open ? [] : orders,
    toggle: (rule: keyof Rules) => !without.includes(rule),
  };
}

/** The rules that combine with the way of scoring: only those that it can have. */
export function RulesFields() {
  const { setValue } = useFormContext();
  const scoring = usePart('scoring');
  const open = usePart('open');
  const rules = usePart('rules');
  const stations = usePart('stations').length;
  const has = rulesFor(scoring, open, stations);
  const limitFault = useFault('rules.timeLimitS');
  const [clubs] = useState(rules.clubOnce || rules.clubsApart || rules.favouriteBanned || rules.shotOnce);
  return (
    <div className={styles.rules}>
      {has.orders.length > 1 && (
        <ChoiceField path="order" label="Order" options={has.orders.map((order) => [order, ORDER_OPTIONS[order]])} />
      )}
      {has.orders.length > 1 && <OutAndBack />}
      <div className={styles.pair}>
        <ChoiceField
          path="rules.ball"
          label="The ball is"
          options={[
            ['drop', 'dropped'],
            ['place', 'placed'],
          ]}
        />
        <Form.Group controlId="time-limit">
          <Form.Label>
            Time limit <span className="small-print">minutes</span>
          </Form.Label>
          <Form.Control
            inputMode="decimal"
            placeholder="none"
            autoComplete="off"
            defaultValue={rules.timeLimitS === null ? '' : rules.timeLimitS / 60}
            isInvalid={limitFault !== undefined}
            onChange={(event) => {
              const text = event.target.value.trim().replace(',', '.');
              setValue('rules.timeLimitS', text === '' ? null : Math.round(Number(text) * 60), {
                shouldDirty: true,
                shouldValidate: limitFault !== undefined,
              });
            }}
          />
          <Form.Control.Feedback type="invalid">{limitFault}</Form.Control.Feedback>
        </Form.Group>
        {has.side && (
          <ChoiceField
            path="rules.goodSide"
            label="Counts on"
            options={[['', 'every side'], ...SIDES.map((side) => [side, `only ${saySide(side)}`] as const)]}
          />
        )}
        {has.side && has.cost && rules.goodSide !== null && <NumberField path="rules.wrongSideCost" label="The other side costs" />}
        {has.cost && <NumberField path="rules.offGreenCost" label="Off the green costs" placeholder="nothing" />}
      </div>
      {has.again && (
        <ChoiceField
          path="rules.attempts"
          label="Attempts"
          options={[
            ['first', 'the first one only'],
            ['until_works', 'again until it works; the first one scores'],
          ]}
        />
      )}
      <ChoiceField
        path="rules.puttOut"
        label="Putting out"
        options={[
          ['no', has.puttedOut ? 'each ball at once' : 'not putted out'],
          ...(has.puttedOut ? [] : [['each', 'each ball at once'] as const]),
          ['after_all', 'after all balls are hit'],
        ]}
      />
      {has.perfect && <Toggle path="rules.endOnPerfectRound" label="A perfect first round ends the game" />}
      <details className={styles.more} open={clubs}>
        <summary>Clubs and repeats</summary>
        {has.toggle('clubOnce') && <Toggle path="rules.clubOnce" label="No club twice" />}
        <Toggle path="rules.clubsApart" label="Never a neighbour of the club before" />
        {has.toggle('favouriteBanned') && <Toggle path="rules.favouriteBanned" label="The favourite club stays in the bag" />}
        {has.toggle('shotOnce') && <Toggle path="rules.shotOnce" label="No shot twice: another club or flight" />}
      </details>
      {has.allowances && <Toggle path="rules.allowances" label="Head starts may be given" />}
      {has.scaled && <Toggle path="sizes.scaled" label="Zones grow with the level" hint="As drawn for level 10." />}
    </div>
  );
}

/** As far as it is said: more than that, nobody reads. */
const MOST_SAID = 14;

/** The distances of an out and back in the order of play, so that whoever designs it sees where it turns. */
function OutAndBack() {
  const spec = useWatch() as GameSpec;
  const sound = spec.stations.every(({ balls, distanceM }) => Number.isInteger(balls) && Number.isFinite(distanceM));
  if (!isOutAndBack(spec.order) || spec.stations.length < 2 || !sound) return null;
  const { lots, stations } = phasesOf(spec).at(-1)!;
  const far = (lots ?? []).map(({ at }) => Math.round(fromMetres(stations[at]!.distanceM, stationUnit(stations[at]!, 'imperial'))));
  return (
    <p className="small-print mb-0">
      {far.slice(0, MOST_SAID).join(', ')}
      {far.length > MOST_SAID && ' …'}
    </p>
  );
}

/**
 * In what the zones are measured, and whose that is. Another unit keeps their size, to the nearest round figure; another length of the same
 * unit keeps the figures.
 */
export function SizesFields({ units }: { units: UnitSystem }) {
  const { setValue, getValues } = useFormContext();
  const sizes = usePart('sizes');
  const fault = useFault('sizes.fixedM');
  const change = (next: Sizes) => {
    const before = valueOf<Sizes>(getValues, 'sizes');
    setValue('sizes', next, { shouldDirty: true });
    if (!Number.isFinite(unitM(next))) return;
    const step = sizeStepM(next);
    const fit = (radiusM: number) =>
      radiusM === 0
        ? 0
        : before.unit === next.unit
          ? snap((radiusM / unitM(before)) * unitM(next))
          : snap(Math.max(1, Math.round(radiusM / step)) * step);
    const rescale = (path: string) => {
      const value: unknown = getValues(path);
      if (typeof value === 'number' && Number.isFinite(value)) setValue(path, fit(value));
    };
    for (const prefix of ['scoring', ...valueOf<unknown[]>(getValues, 'leadIn').map((_, i) => `leadIn.${i}.scoring`)]) {
      const scoring = valueOf<Scoring>(getValues, prefix);
      for (const { of, path } of schemeOf(scoring).zones(scoring)) if (of !== 'measured') rescale(`${prefix}.${path}`);
    }
  };
  const stick = isBodyMeasure(sizes.unit);
  return (
    <div className={styles.pair}>
      <Form.Group controlId="sizes-unit">
        <Form.Label>Zones in</Form.Label>
        <Form.Select
          value={sizes.unit}
          onChange={(event) => {
            const unit = event.target.value as Sizes['unit'];
            change({ ...sizes, unit, of: 'fixed', fixedM: null });
          }}
        >
          {SIZE_UNITS.map((unit) => (
            <option key={unit} value={unit}>
              {saySizeUnit(unit)}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {stick && (
        <Form.Group controlId="sizes-of">
          <Form.Label>Whose</Form.Label>
          <Form.Select value={sizes.of} onChange={(event) => change({ ...sizes, of: event.target.value as Sizes['of'], fixedM: null })}>
            <option value="fixed">an ordinary one</option>
            {sizes.unit !== 'flagstick' && <option value="player">the player’s own</option>}
            <option value="coach">the coach’s</option>
          </Form.Select>
        </Form.Group>
      )}
      {stick && sizes.of === 'fixed' && (
        <LengthInput
          id="sizes-fixedM"
          label="Its length"
          hint="empty: ordinary"
          unit={units === 'metric' ? 'm' : 'in'}
          value={sizes.fixedM}
          error={fault}
          onChange={(fixedM) => change({ ...sizes, fixedM })}
        />
      )}
    </div>
  );
}
