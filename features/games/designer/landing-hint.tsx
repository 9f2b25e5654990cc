'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import { USUAL_BAG } from '@/core/golf/usual-bag';
import { PACE_M } from '@/core/measures/sticks';
import type { Station } from '@/core/game/station';
import { UNMEASURED_RUN, type LandingOption } from '@/core/tools/landing-options';
import { lyingOf } from '@/core/tools/lying';
import { landingPlaceSchema, USUAL_PLACE } from '@/core/tools/landing-place';
import { asLevel } from '@/core/tools/strays';
import { DRAWN_FOR_LEVEL } from '@/core/game/enter';
import { formatLength } from '@/core/units/format';
import { fromMetres, toMetres } from '@/core/units/length';

type Props = { path: string; station: Station };
type Said = { of: string; option: LandingOption | null };

/** Works out where the ball of a station should land, and puts it there: by the clubs and flights of a usual bag, or those the station asks for. */
export function LandingHint({ path, station }: Props) {
  const { setValue } = useFormContext();
  const [said, setSaid] = useState<Said | null>(null);
  const { distanceM, edgeM, surface, club, trajectory, distanceUnit } = station;
  const place = landingPlaceSchema.safeParse({
    ...USUAL_PLACE,
    distanceM,
    edgeM: edgeM ?? 0,
    fringeM: Math.min(USUAL_PLACE.fringeM, edgeM ?? 0),
    lie: surface,
    ...lyingOf(station),
  });
  if (!place.success || place.data.lie === 'sand') return null;
  const of = JSON.stringify([place.data, club, trajectory]);
  const unit = distanceUnit === 'm' ? 'm' : 'yd';
  const work = async () => {
    // Only whoever asks loads the ball's flight.
    const [{ answerLanding }, { shippedReference }] = await Promise.all([
      import('@/core/tools/landing-answer'),
      import('@/core/golf/reference'),
    ]);
    const own = USUAL_BAG.filter(({ label }) => label.toLowerCase() === club?.toLowerCase());
    const options = answerLanding(
      {
        place: place.data,
        on: null,
        clubs: own.length > 0 ? own : USUAL_BAG,
        strays: asLevel(DRAWN_FOR_LEVEL),
        run: UNMEASURED_RUN,
        paceM: PACE_M,
        clubM: null,
      },
      shippedReference,
    );
    const option = options.find((one) => one.answer === 'found' && (trajectory === null || one.flight === trajectory));
    setSaid({ of, option: option?.answer === 'found' ? option : null });
    if (option?.answer === 'found')
      setValue(`${path}.carryM`, toMetres(Math.round(fromMetres(option.carryM, unit) * 10) / 10, unit), {
        shouldDirty: true,
        shouldValidate: true,
      });
  };
  const now = said?.of === of ? said : null;
  return (
    <div className="small-print">
      <Button variant="link" size="sm" className="p-0 text-start" onClick={() => void work()}>
        Work out the landing spot
      </Button>
      {now &&
        (now.option ? (
          <div role="status">
            {formatLength(now.option.carryM, unit)} with the {now.option.club.label}, {now.option.flight} (range{' '}
            {formatLength(now.option.carries.fromM, unit)} to {formatLength(now.option.carries.toM, unit)}).
          </div>
        ) : (
          <div role="status">No reliable landing spot from here.</div>
        ))}
    </div>
  );
}
