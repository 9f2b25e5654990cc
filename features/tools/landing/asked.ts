import * as z from 'zod';
import { FIRMNESSES, SITS, STANCES, SURFACES } from '@/core/golf/words';
import { landingPlaceSchema, USUAL_PLACE, type LandingPlace } from '@/core/tools/landing-place';
import { KEYS, landingQuery, NAMES } from '@/core/tools/landing-address';

const askedSchema = z.object({
  for: z.uuid().optional().catch(undefined),
  green: z.uuid().optional().catch(undefined),
  station: z.string().max(40).optional().catch(undefined),
});
/** Who asks, and at which station of which green; else in a few figures. */
export type LandingQuery = z.infer<typeof askedSchema> & { place: LandingPlace };

const figure = z.coerce.number().optional().catch(undefined);

/** What a landing spot is asked for, as it stands in its address; what makes no sense is passed over. */
export function readLandingAsked(params: Record<string, unknown>, usual: LandingPlace = USUAL_PLACE): LandingQuery {
  const place = Object.fromEntries(
    KEYS.map((key) => {
      const given = params[NAMES[key]];
      if (key === 'lie') return [key, z.enum(SURFACES).exclude(['green']).catch(usual.lie).parse(given)];
      if (key === 'sit') return [key, z.enum(SITS).exclude(['buried']).catch(usual.sit).parse(given)];
      if (key === 'stance') return [key, z.enum(STANCES).catch(usual.stance).parse(given)];
      if (key === 'firmness') return [key, z.enum(FIRMNESSES).catch(usual.firmness).parse(given)];
      return [key, (given === undefined ? undefined : figure.parse(given)) ?? usual[key]];
    }),
  );
  const read = landingPlaceSchema.safeParse(place);
  return { ...askedSchema.parse(params), place: read.success ? read.data : usual };
}

/** The address part of it; what is usual is left out. */
export function asLandingQuery({ place, ...who }: LandingQuery, usual: LandingPlace = USUAL_PLACE): string {
  return landingQuery(Object.fromEntries(KEYS.flatMap((key) => (place[key] === usual[key] ? [] : [[key, place[key]]]))), who);
}
