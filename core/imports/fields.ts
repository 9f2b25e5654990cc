import { SHOT_TYPES, SURFACES, say } from '../golf/words';
import { TABLE_LENGTHS, type TableLength } from '../formats/shot-table';
import { plainWord } from './words';

/** What a table can hold: balls one by one, or what was scored. */
export const TABLE_KINDS = ['balls', 'scores'] as const;
export type TableKind = (typeof TABLE_KINDS)[number];

/** What a column can mean: its name in our own tables, as people call it, and how its cells are read. */
export type Field = {
  name: string;
  label: string;
  reads: 'text' | 'number' | 'word' | 'yes or no' | 'length' | 'when' | 'clock';
  /** What such a column is usually called, beside our own name: as plain words (words.ts). */
  called: readonly string[];
};

const field = (name: string, label: string, reads: Field['reads'], ...called: string[]): Field => ({
  name,
  label,
  reads,
  called: called.map(plainWord),
});

const WHO_AND_WHEN: readonly Field[] = [
  field('player', 'Player', 'text', 'name', 'golfer', 'who', 'pupil', 'student', 'junior', 'player_name'),
  field('played_at', 'Date', 'when', 'date', 'day', 'when', 'played', 'played_on', 'date_time', 'datetime', 'timestamp', 'session_date'),
  field('clock', 'Time', 'clock', 'time', 'start', 'start_time', 'time_of_day'),
  field('game', 'Game', 'text', 'drill', 'test', 'exercise', 'task', 'challenge', 'game_name'),
];

/** What can be known of a ball. */
export const BALL_FIELDS: readonly Field[] = [
  ...WHO_AND_WHEN,
  field('shot_type', 'Shot', 'word', 'shot', 'shot_kind', 'kind_of_shot', 'stroke_type', 'type'),
  field('surface', 'Lie', 'word', 'lie', 'from', 'ground', 'played_from'),
  field(
    'distance',
    'Distance to the hole',
    'length',
    'distance',
    'dist',
    'start_distance',
    'distance_to_hole',
    'yardage',
    'length',
    'yards',
    'feet',
  ),
  field('holed', 'Holed', 'yes or no', 'made', 'in', 'sunk', 'holed_out', 'in_the_hole'),
  field(
    'left',
    'Left to the hole',
    'length',
    'left',
    'remaining',
    'distance_left',
    'to_hole',
    'finish_distance',
    'proximity',
    'leave',
    'result',
  ),
  field('left_min', 'Left, at least', 'length', 'left_from', 'at_least'),
  field('left_max', 'Left, at most', 'length', 'left_to', 'at_most', 'within', 'inside'),
  field('strokes', 'Strokes to hole out', 'number', 'strokes', 'shots_taken', 'to_hole_out'),
  field('club', 'Club', 'text', 'club', 'club_used'),
  field('sit', 'How the ball sat', 'word', 'ball_sat'),
  field('stance', 'Stance', 'word', 'slope'),
  field('trajectory', 'Flight', 'word', 'flight', 'height'),
  field('shape', 'Shape', 'word', 'curve'),
  field('swing_width', 'Swing width', 'word'),
  field('swing_mark', 'Swing length', 'text', 'swing', 'swing_length', 'mark'),
  field('bearing_deg', 'Direction from the hole, degrees', 'number', 'bearing', 'direction'),
  field('measured', 'How it was measured', 'word', 'measured_by', 'how_measured'),
  field('finish', 'Where it finished', 'word', 'finished', 'ended', 'ended_on'),
  field('penalty', 'Penalty strokes', 'number', 'penalties', 'penalty_strokes'),
  field('landed', 'Landed in the zone', 'yes or no', 'landed_in_zone', 'zone_hit'),
  field('carry', 'Carry', 'length', 'carry_distance'),
  field('landing_error', 'Landing error, long is +', 'length', 'landing_miss'),
  field('landed_side', 'Landed short or long', 'word'),
  field('intended', 'Distance played for', 'length', 'intended_distance', 'played_for'),
  field('zone', 'Radius of the landing zone', 'length', 'zone_radius'),
  field('executed', 'Done as asked', 'yes or no', 'as_asked'),
  field('was_called', 'Called beforehand', 'yes or no'),
  field('called', 'What was called', 'text', 'call'),
  field('nearer', 'Nearest so far', 'yes or no', 'nearest'),
  field('par', 'Par', 'number'),
  field('mishit', 'Mishit', 'word', 'miss_hit', 'strike'),
  field('n_balls', 'Balls in this row', 'number', 'balls', 'number_of_balls', 'count'),
  field('sum_left', 'Left in all', 'length', 'total left', 'sum'),
  field('counts', 'How it counts', 'word'),
  field('target', 'Hole or peg', 'word'),
  field('session', 'Session', 'text', 'round', 'visit', 'set'),
  field('session_id', 'Session id', 'text'),
  field('station', 'Station', 'text', 'stn', 'spot', 'position', 'place'),
  field('ball', 'Ball', 'number', 'ball_no', 'ball_number', 'attempt'),
  field('turn', 'Turn', 'number', 'no', 'number', 'order'),
  field('phase', 'Phase', 'number'),
  field('wind', 'Wind', 'text'),
  field('stimp_ft', 'Green speed, ft', 'number', 'stimp', 'green_speed', 'speed'),
  field('firmness', 'Ground', 'word'),
  field('note', 'Note', 'text', 'notes', 'comment', 'comments', 'remark', 'remarks'),
  field('shot_id', 'Id of the ball', 'text', 'id', 'ball_id'),
  field('game_version', 'Version of the game', 'number'),
];

/** What can be known of a result that was noted by hand. */
export const SCORE_FIELDS: readonly Field[] = [
  ...WHO_AND_WHEN,
  field('score', 'Score', 'number', 'points', 'result', 'total', 'value', 'Hits'),
  field('unit', 'Unit', 'text', 'units', 'of_what'),
  field('note', 'Note', 'text', 'notes', 'comment', 'comments', 'remark', 'remarks'),
  field('result_id', 'Id of the result', 'text', 'id'),
];

export const fieldsOf = (kind: TableKind): readonly Field[] => (kind === 'balls' ? BALL_FIELDS : SCORE_FIELDS);
export const fieldNamed = (kind: TableKind, name: string): Field | undefined => fieldsOf(kind).find((one) => one.name === name);
export const isLength = (name: string): name is TableLength => (TABLE_LENGTHS as readonly string[]).includes(name);

/** What every row has to say, by a column or for all rows; a shot that says its lie needs none. */
export const NEEDED: Readonly<Record<TableKind, readonly string[]>> = {
  balls: ['player', 'played_at', 'shot_type', 'distance'],
  scores: ['player', 'played_at', 'game', 'score'],
};

/** The words that can be chosen for all rows of a table, where no column says them. */
export const CHOICES: Readonly<Record<string, readonly (readonly [word: string, text: string])[]>> = {
  shot_type: SHOT_TYPES.map((word) => [word, say(word)]),
  surface: SURFACES.map((word) => [word, say(word)]),
};
