import type { ComponentType, ReactNode } from 'react';
import type { SchemeKind, Scoring } from '@/core/game/scoring';
import { ClubTrialFields } from './club-trial';
import { FarField } from './far-field';
import { HitsFields } from './hits';
import { HoleOutDrawing, HoleOutFields } from './hole-out';
import { LadderFields } from './ladder';
import { LandingZoneDrawing, LandingZoneFields } from './landing-zone';
import { NearestWinsFields } from './nearest-wins';
import { RingPointsFields } from './ring-points';
import { ShotMatrixDrawing, ShotMatrixFields } from './shot-matrix';
import { StreakFields } from './streak';
import { UnscoredFields } from './unscored';
import { ZonesPlan, type DrawingProps } from './zones-plan';

/** The fields of each way of scoring, by the path of the scoring in the form. */
export const FIELDS: Readonly<Record<SchemeKind, ComponentType<{ path: string }>>> = {
  ring_points: RingPointsFields,
  total_left: FarField,
  hits: HitsFields,
  landing_zone: LandingZoneFields,
  hole_out: HoleOutFields,
  ladder: LadderFields,
  nearest_wins: NearestWinsFields,
  shot_matrix: ShotMatrixFields,
  club_trial: ClubTrialFields,
  streak: StreakFields,
  unscored: UnscoredFields,
};

/** A drawing of one way of scoring; as a method, so that the one found by its name may be called. */
type Drawing<Scored> = { draw(props: DrawingProps & { scoring: Scored }): ReactNode }['draw'];

/** Scoring, where it is drawn otherwise than by zones round the hole. */
const DRAWINGS: { [Kind in SchemeKind]?: Drawing<Extract<Scoring, { scheme: Kind }>> } = {
  landing_zone: LandingZoneDrawing,
  hole_out: HoleOutDrawing,
  shot_matrix: ShotMatrixDrawing,
};

/** How what is aimed at is drawn for a way of scoring. */
export function drawingOf(kind: SchemeKind): Drawing<Scoring> {
  return DRAWINGS[kind] ?? ZonesPlan;
}
