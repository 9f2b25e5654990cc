'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { LandingOption, OptionAnswer } from '@/core/tools/landing-options';
import { carryByRule, RULE_FLIGHT, usualParts } from '@/core/tools/rule-of-thumb';
import { formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { readNumber } from '@/ui/length-input';
import { within } from '../fields';
import { useKept } from '../use-kept';

type Props = {
  option: LandingOption;
  /** What all clubs and flights come to. */ options: readonly OptionAnswer[];
  distanceM: number;
  units: UnitSystem;
};

/** The rule of thumb beside the model: parts of run to one part of carry, everybody's own. */
export function RulePanel({ option, options, distanceM, units }: Props) {
  const { club } = option;
  // It speaks of a low flight: the model's is set beside it.
  const low = options.find((one) => one.club.label === club.label && one.flight === RULE_FLIGHT);
  const carryM = low?.answer === 'found' ? low.carryM : null;
  const [rules, keep] = useKept<Record<string, number>>('rule-of-thumb', {});
  const own = rules[club.label];
  const parts = own ?? usualParts(club.loftDeg);
  const [typed, setTyped] = useState<{ club: string; text: string } | null>(null);
  const unit = units === 'metric' ? 'm' : 'yd';
  const byRule = carryByRule(distanceM, parts);
  const apart = carryM === null ? null : byRule - carryM;
  const text = typed?.club === club.label ? typed.text : String(parts);
  const wrong = !readParts(text);
  return (
    <section>
      <h2>Rule of thumb</h2>
      <div className="d-flex gap-2 align-items-center flex-wrap">
        <Form.Label htmlFor="rule-parts" className="mb-0">
          {club.label}: 1 part carry to
        </Form.Label>
        <Form.Control
          id="rule-parts"
          className="fig"
          style={{ width: '4.5rem' }}
          inputMode="decimal"
          value={text}
          isInvalid={wrong}
          onChange={({ target }) => {
            setTyped({ club: club.label, text: target.value });
            const read = readParts(target.value);
            if (read) keep({ ...rules, [club.label]: read });
          }}
        />
        <span>parts run</span>
        {own !== undefined && own !== usualParts(club.loftDeg) && (
          <button
            type="button"
            className="btn btn-link p-0"
            onClick={() => {
              const { [club.label]: _own, ...others } = rules;
              keep(others);
              setTyped(null);
            }}
          >
            Reset
          </button>
        )}
      </div>
      {wrong ? (
        <p className="invalid-feedback d-block mb-0">Enter parts from 0.1 to 20.</p>
      ) : (
        <p className="mb-0 mt-2">
          By the rule land it at <b className="fig">{formatLength(byRule, unit)}</b>
          {carryM === null || apart === null ? (
            '. The model has no low shot with this club.'
          ) : (
            <>
              , by the model, low, at <b className="fig">{formatLength(carryM, unit)}</b>
              {Math.abs(apart) < 0.25
                ? ': the same.'
                : `: the rule lands it ${formatLength(Math.abs(apart), unit)} ${apart > 0 ? 'farther on' : 'shorter'}.`}
            </>
          )}{' '}
          <span className="small-print">The rule is for a flat green.</span>
        </p>
      )}
    </section>
  );
}

function readParts(text: string): number | null {
  const parts = readNumber(text);
  return within(parts, 0.1, 20) ? parts : null;
}
