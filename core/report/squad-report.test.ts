import { PLAIN_REPORT } from '../testing/make-report';
import type { Report } from './report';
import { isSquadReport, storedGivenReports } from './given-report';
import { makeSquadReport, MOST_ON_REPORT, squadReportSchema } from './squad-report';

const shot = (name: string) => ({ shot: name, mean: 0.3, low: 0.1, high: 0.5, balls: 20 });
const of = (player: string, weakest: string[], more: Partial<Report> = {}): Report => ({
  ...PLAIN_REPORT,
  player,
  weakest: weakest.map(shot),
  ...more,
});
const about = { academy: 'Here', period: '1 Oct to 29 Nov 2026', made: '29 Nov 2026', strokes: 'lost', more: 0 } as const;

test('a row for each who played, with what costs most; what several share comes first', () => {
  const report = makeSquadReport(
    about,
    [
      of('Ana', ['pitches', 'bunker shots', 'lags']),
      of('Ben', ['lags', 'bunker shots']),
      of('Cai', [], { test: null }),
      of('Dee', ['bunker shots']),
    ],
    ['Eve'],
  );
  expect(squadReportSchema.parse(report)).toEqual(report);
  expect(report.players.map(({ name, weakest }) => [name, weakest?.shot ?? null])).toEqual([
    ['Ana', 'pitches'],
    ['Ben', 'lags'],
    ['Cai', null],
    ['Dee', 'bunker shots'],
  ]);
  expect(report.shared).toEqual([
    { shot: 'bunker shots', players: 3 },
    { shot: 'lags', players: 2 },
  ]);
  expect(report.says).toBe('Bunker shots: among the three weakest shots of 3 of 4 players. Practise them together.');
  expect([report.away, report.players[2]!.test]).toEqual([['Eve'], null]);
});

test('alone nothing is shared, and of very many only so many stand on it', () => {
  expect(makeSquadReport(about, [of('Ana', ['pitches'])], []).says).toBe('');
  expect(makeSquadReport(about, [of('Ana', ['pitches']), of('Ben', ['lags'])], []).says).toContain('No two players share a weak shot');
  const many = Array.from({ length: 60 }, (_, i) => of(`P${i}`, ['lags']));
  expect(makeSquadReport({ ...about, more: 20 }, many, []).players).toHaveLength(MOST_ON_REPORT);
});

test('behind a link either kind is read as it was given away', () => {
  const squad = makeSquadReport(about, [of('Ana', ['lags'])], []);
  expect([isSquadReport(squad), isSquadReport(PLAIN_REPORT), isSquadReport(null)]).toEqual([true, false, false]);
  expect(storedGivenReports.read(squad)).toEqual(squad);
  expect(storedGivenReports.read(PLAIN_REPORT)).toEqual(PLAIN_REPORT);
  expect(storedGivenReports.understands({ ...squad, version: 99 })).toBe(false);
});
