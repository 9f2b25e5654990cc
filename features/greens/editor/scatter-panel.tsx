'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { freshKey } from '@/core/game/spec';
import type { GreenPlan } from '@/core/green/plan';
import { scatter, SCATTER_BANDS } from '@/core/green/scatter';
import { say, type Surface } from '@/core/golf/words';
import { fromMetres } from '@/core/units/length';
import { useEditing } from './context';
import styles from './editor.module.scss';

const LIES: readonly Surface[] = ['fringe', 'fairway', 'light_rough', 'heavy_rough', 'bare', 'sand', 'green'];
const AMOUNTS = ['none', 'some', 'more', 'most'] as const;
const WEIGHTS = [0, 1, 2, 4] as const;

type Props = {
  /** Shows all of a plan on which stations were just placed. */
  onPlaced: (plan: GreenPlan) => void;
  onDone: () => void;
};

/** Asks for random stations of a mix; the same number gives the same stations again. */
export function ScatterPanel({ onPlaced, onDone }: Props) {
  const { plan, system, change } = useEditing();
  const [count, setCount] = useState('9');
  const [seed, setSeed] = useState(1);
  const [keep, setKeep] = useState(false);
  const [lies, setLies] = useState<Partial<Record<Surface, number>>>({ fringe: 1, [plan.around]: 2 });
  const [bands, setBands] = useState<number[]>([1, 2, 1, 0, 0]);
  const [holes, setHoles] = useState<Record<string, boolean>>({});
  const [said, setSaid] = useState<string | null>(null);
  const number = Number(count);
  const fault = Number.isInteger(number) && number >= 1 && number <= 18 ? null : 'A whole number from 1 to 18.';
  const unit = system === 'metric' ? 'm' : 'yd';

  const put = (draw: number) => {
    const kept = keep ? plan.stations : [];
    const wish = {
      count: number,
      seed: draw,
      surfaces: lies,
      bands,
      holes: Object.fromEntries(plan.holes.map((hole) => [hole.key, holes[hole.key] === false ? 0 : 1])),
    };
    const { stations, shortfall } = scatter(
      plan,
      wish,
      system,
      kept.map(({ at }) => at),
    );
    const keys = kept.map((station) => station.key);
    const added = stations.map(({ at, hole }) => {
      const key = freshKey('s', keys);
      keys.push(key);
      return { key, at, hole, surface: null, sit: 'clean', stance: 'flat', shotType: null } as const;
    });
    const placed = { ...plan, stations: [...kept, ...added] };
    change(placed);
    onPlaced(placed);
    setSaid(shortfall.length === 0 ? `${stations.length} stations, as asked.` : `Not all fit: ${shortfall.join(', ')}.`);
  };

  if (plan.holes.length === 0)
    return (
      <>
        <h2>Scatter stations</h2>
        <p className="small-print">Put a hole down first: stations play to one.</p>
      </>
    );
  return (
    <>
      <h2>Scatter stations</h2>
      <div className={styles.pair}>
        <Form.Group controlId="scatter-count">
          <Form.Label>How many</Form.Label>
          <Form.Control
            className="fig"
            inputMode="numeric"
            value={count}
            isInvalid={fault !== null}
            onChange={(event) => setCount(event.target.value)}
          />
          <Form.Control.Feedback type="invalid">{fault}</Form.Control.Feedback>
        </Form.Group>
        <Form.Check
          id="scatter-keep"
          className="align-self-end mb-2"
          label="keep those there are"
          checked={keep}
          onChange={(event) => setKeep(event.target.checked)}
        />
      </div>
      <Weights
        legend="From"
        rows={LIES.map((lie) => [lie, say(lie), lies[lie] ?? 0] as const)}
        onSet={(lie, weight) => setLies({ ...lies, [lie]: weight })}
      />
      <Weights
        legend="Distance"
        rows={SCATTER_BANDS.map(
          ({ fromM, toM }, i) =>
            [String(i), `${Math.round(fromMetres(fromM, unit))}–${Math.round(fromMetres(toM, unit))} ${unit}`, bands[i] ?? 0] as const,
        )}
        onSet={(i, weight) => setBands(bands.map((one, n) => (n === Number(i) ? weight : one)))}
      />
      {plan.holes.length > 1 && (
        <fieldset className="mb-2">
          <legend className={styles.legend}>To</legend>
          <div className="d-flex flex-wrap gap-3">
            {plan.holes.map((hole) => (
              <Form.Check
                key={hole.key}
                id={`scatter-${hole.key}`}
                label={`hole ${hole.label}`}
                checked={holes[hole.key] !== false}
                onChange={(event) => setHoles({ ...holes, [hole.key]: event.target.checked })}
              />
            ))}
          </div>
        </fieldset>
      )}
      <div className="d-flex flex-wrap gap-2 mt-2">
        <Button disabled={fault !== null} onClick={() => put(seed)}>
          Place them
        </Button>
        <Button
          variant="outline-dark"
          disabled={fault !== null || said === null}
          onClick={() => {
            setSeed(seed + 1);
            put(seed + 1);
          }}
        >
          Others
        </Button>
        <Button variant="outline-dark" onClick={onDone}>
          Done
        </Button>
      </div>
      <p role="status" className="mt-2 mb-0 fw-semibold">
        {said}
      </p>
      <p className="small-print mt-1">
        Draw {seed}: the same draw gives the same stations, numbered along a short walk{keep ? ', after those that are kept' : ''}.
      </p>
    </>
  );
}

type WeightsProps = {
  legend: string;
  rows: readonly (readonly [key: string, name: string, weight: number])[];
  onSet: (key: string, weight: number) => void;
};

/** How much of each, from none to most. */
function Weights({ legend, rows, onSet }: WeightsProps) {
  return (
    <fieldset className="mb-2">
      <legend className={styles.legend}>{legend}</legend>
      <div className={styles.weights}>
        {rows.map(([key, name, weight]) => (
          <Form.Group key={key} controlId={`scatter-${legend}-${key}`}>
            <Form.Label>{name}</Form.Label>
            <Form.Select size="sm" value={weight} onChange={(event) => onSet(key, Number(event.target.value))}>
              {WEIGHTS.map((one, i) => (
                <option key={one} value={one}>
                  {AMOUNTS[i]}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        ))}
      </div>
    </fieldset>
  );
}
