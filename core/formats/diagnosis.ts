import { sayLevel } from '../golf/level';
import type { Diagnosis } from '../skill/diagnose';
import { summaryOf } from '../board/summary';

const round = (value: number) => Number(value.toFixed(4));

/** What `diagnose` answers, with the keys of the open format: the cells likeliest among the three weakest first. */
export function diagnosisAnswer(
  {
    player,
    level,
    balls,
    silent,
    asOf,
    halfLifeDays,
  }: { player: string; level: number; balls: number; silent: number; asOf: Date | null; halfLifeDays: number | null },
  diagnosis: Diagnosis,
) {
  const say = (per: 'shot' | 'round') =>
    Object.values(summaryOf(diagnosis, per, `level ${sayLevel(level)}`, balls))
      .filter(Boolean)
      .join(' ');
  return {
    player,
    level,
    balls,
    says_nothing: silent,
    no_place: diagnosis.noPlace,
    as_of: asOf?.toISOString() ?? null,
    half_life_days: halfLifeDays,
    summary: say('shot'),
    summary_per_round: say('round'),
    cells: diagnosis.findings
      .filter(({ ranked }) => ranked)
      .map((finding) => ({
        shot_type: finding.shotType,
        surface: finding.surface,
        band_min: finding.band.min,
        band_max: finding.band.max,
        unit: finding.band.unit,
        balls: finding.balls,
        expected_strokes: round(finding.expectedStrokes),
        reference_strokes: round(finding.referenceStrokes),
        lost_per_shot: round(finding.perShot.mean),
        interval80: finding.perShot.interval80.map(round),
        p_weakest3: round(finding.perShot.weakest3),
        lost_per_round: round(finding.perRound.mean),
        interval80_per_round: finding.perRound.interval80.map(round),
        p_weakest3_per_round: round(finding.perRound.weakest3),
        uses_per_round: round(finding.uses),
      }))
      .sort((a, b) => b.p_weakest3 - a.p_weakest3 || b.lost_per_shot - a.lost_per_shot),
  };
}
