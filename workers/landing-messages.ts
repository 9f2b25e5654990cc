import type { Flight } from '@/core/physics/launch';
import type { LandingAsked } from '@/core/tools/landing-answer';
import type { Club, OptionAnswer } from '@/core/tools/landing-options';
import type { Routes } from '@/core/tools/landing-routes';

/** All clubs and flights; or, with a choice, that shot at the hole and careful. */
export type ToLanding = { ask: number; asked: LandingAsked } | { ask: number; asked: LandingAsked; choice: { club: Club; flight: Flight } };
export type FromLanding = { ask: number; options: OptionAnswer[] } | { ask: number; routes: Routes } | { ask: number; failed: string };
