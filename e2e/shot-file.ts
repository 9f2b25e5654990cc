import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { METRES_PER } from '@/core/units/length';
import { ask } from './database';

/** The balls of a demo player, as a table for the command line. */
export async function shotFileOf(name: string): Promise<{ path: string; playerId: string; level: number }> {
  const [player] = await ask<{ player_id: string; level: number }>(
    `select player_id, level from player join auth_organization o on o.id = academy_id where o.slug = 'lantern-hollow' and player.name = $1`,
    name,
  );
  const shots = await ask<Record<string, unknown>>('select * from shot where player_id = $1', player!.player_id);
  const feet = (metres: unknown) => (metres === null ? '' : Number(metres) / METRES_PER.ft);
  const csv = Papa.unparse(
    shots.map((shot) => ({
      shot_type: shot.shot_type,
      surface: shot.surface,
      sit: shot.sit,
      stance: shot.stance,
      distance_m: shot.distance_m,
      holed: shot.holed,
      left_m: shot.left_m ?? '',
      left_min_ft: feet(shot.left_min_m),
      left_max_ft: feet(shot.left_max_m),
      strokes: shot.strokes ?? '',
      penalty: shot.penalty,
      finish: shot.finish ?? '',
      measured: shot.measured,
      counts: shot.counts,
      played_at: (shot.played_at as Date).toISOString(),
    })),
  );
  const path = join(mkdtempSync(join(tmpdir(), 'inch-shots-')), 'shots.csv');
  writeFileSync(path, csv);
  return { path, playerId: player!.player_id, level: player!.level };
}
