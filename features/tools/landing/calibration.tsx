'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Ground } from '@/core/physics/ground';
import type { Flight, PlayableLie } from '@/core/physics/launch';
import { shotsOver } from '@/core/physics/shot';
import { TRAJECTORIES } from '@/core/golf/words';
import type { Club } from '@/core/tools/landing-options';
import { runFactor, type RunFactor } from '@/core/tools/run-factor';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import styles from './landing.module.scss';

type Props = {
  clubs: readonly Club[];
  ground: Ground;
  lie: PlayableLie;
  units: UnitSystem;
  /** What is used now. */
  factor: RunFactor;
  /** Takes what the balls came to; null: forget them. */
  onChange: (factor: RunFactor | null) => void;
};
type Ball = { carryM: number | null; finishM: number | null };

const BALLS = 5;

/** Three to five balls on this green today: where each landed and where it stopped say how far balls run here. */
export function Calibration({ clubs, ground, lie, units, factor, onChange }: Props) {
  const [open, setOpen] = useState(false);
  const [label, setLabel] = useState(clubs.find(({ loftDeg }) => loftDeg >= 48)?.label ?? clubs[0]?.label ?? '');
  const [flight, setFlight] = useState<Flight>('medium');
  const [balls, setBalls] = useState<Ball[]>(Array.from({ length: BALLS }, () => ({ carryM: null, finishM: null })));
  const [used, setUsed] = useState(false);
  const club = clubs.find((one) => one.label === label) ?? clubs[0];
  if (!club) return null;
  const unit = units === 'metric' ? 'm' : 'yd';
  const faultOf = ({ carryM, finishM }: Ball) => {
    if (Number.isNaN(carryM) || Number.isNaN(finishM)) return 'Enter numbers.';
    return carryM !== null && finishM !== null && finishM < carryM - 3
      ? 'It can’t stop that far short of where it landed. Check both.'
      : undefined;
  };
  const good = balls.flatMap((ball) => {
    const { carryM, finishM } = ball;
    return carryM !== null && finishM !== null && carryM > 0 && !faultOf(ball) ? [{ carryM, finishM }] : [];
  });
  const play = shotsOver(ground);
  const found = runFactor(good.map((ball) => ({ ...ball, play, strike: { loftDeg: club.loftDeg, flight, lie } })));
  const enough = found.balls >= 3;
  return (
    <section>
      <h2>This green today</h2>
      {!open ? (
        <Button variant="outline-dark" onClick={() => setOpen(true)}>
          Measure three balls
        </Button>
      ) : (
        <>
          <p className="small-print mb-2">
            Hit three to five balls to one spot. Type where each landed and where it stopped, from where you stand.
          </p>
          <div className="d-flex gap-2 mb-2">
            <Form.Select aria-label="Club" value={label} onChange={({ target }) => setLabel(target.value)}>
              {clubs.map((one) => (
                <option key={one.label}>{one.label}</option>
              ))}
            </Form.Select>
            <Form.Select aria-label="Flight" value={flight} onChange={({ target }) => setFlight(target.value as Flight)}>
              {TRAJECTORIES.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </Form.Select>
          </div>
          <div className={styles.balls}>
            {balls.map((ball, i) => {
              const set = (change: Partial<Ball>) => setBalls(balls.map((one, n) => (n === i ? { ...one, ...change } : one)));
              return (
                <div key={i}>
                  <LengthInput
                    id={`ball-${i}-landed`}
                    label={`${i + 1}: landed`}
                    unit={unit}
                    value={ball.carryM}
                    onChange={(carryM) => set({ carryM })}
                    error={faultOf(ball)}
                  />
                  <LengthInput
                    id={`ball-${i}-stopped`}
                    label="stopped"
                    unit={unit}
                    value={ball.finishM}
                    onChange={(finishM) => set({ finishM })}
                  />
                </div>
              );
            })}
          </div>
          <p className="mb-2 mt-2" role="status">
            {enough
              ? `Balls run about ${found.k.toFixed(2)} times as far as usual (${found.from.toFixed(2)} to ${found.to.toFixed(2)}, ${counted(found.balls, 'ball')}).`
              : `${counted(found.balls, 'ball')} so far. Measure at least three.`}
          </p>
          <div className="d-flex gap-2">
            <Button
              variant="outline-dark"
              disabled={!enough}
              onClick={() => {
                onChange(found);
                setUsed(true);
              }}
            >
              Use it
            </Button>
            {used && (
              <Button
                variant="link"
                onClick={() => {
                  onChange(null);
                  setUsed(false);
                }}
              >
                Forget it
              </Button>
            )}
          </div>
        </>
      )}
      {used && <p className="small-print mb-0 mt-2">In use: {factor.k.toFixed(2)} times the usual run.</p>}
    </section>
  );
}
