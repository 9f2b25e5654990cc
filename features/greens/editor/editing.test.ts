import type { Point } from '@/core/geometry/point';
import { green, standing } from '@/core/testing/make-green';
import { edited, editOf, type Edit, type EditStep } from './editing';

const plan = green({ stations: [standing('s1', [0, -18.288]), standing('s2', [20, 0], 'h2')] });
const after = (edit: Edit, ...steps: EditStep[]) => steps.reduce(edited, edit);
const titled = (title: string, tag: string | null = 'title'): EditStep => ({ do: 'change', plan: { ...plan, title }, tag });
const put = (...at: Point): EditStep => ({ do: 'put', at });
const titleOf = ({ history }: Edit) => history.now.title;

test('what was typed in one field is one step back; a drag is one too, and a new step ends what could be redone', () => {
  const drag = (title: string): EditStep => ({ do: 'drag', plan: { ...plan, title } });
  const held = after(editOf(plan), titled('A'), titled('Ab'), drag('dragged once'), drag('dragged twice'));
  expect(held.history.held).not.toBeNull();
  const dropped = after(held, { do: 'drop' });
  expect(titleOf(after(dropped, { do: 'undo' }))).toBe('Ab');
  expect(titleOf(after(dropped, { do: 'undo' }, { do: 'redo' }))).toBe('dragged twice');
  const first = after(dropped, { do: 'undo' }, { do: 'undo' });
  expect([titleOf(first), first.history.past]).toEqual(['Square', []]);
  expect(after(first, titled('Other', null)).history.future).toEqual([]);
  expect(after(first, { do: 'undo' })).toEqual(first);
});

test('a drag that ends where it began is no step', () => {
  const still = after(editOf(plan), { do: 'drag', plan }, { do: 'drop' });
  expect([still.history.past, still.history.held]).toEqual([[], null]);
});

test('a new green is drawn first: three corners, closed on the first, and its corner is chosen', () => {
  const empty = editOf({ ...green({ holes: [], stations: [] }), outline: [] });
  expect(empty.tool).toEqual({ draw: 'green' });
  const drawn = after(empty, put(0, 0), put(10, 0), put(10, 10), put(0, 0));
  expect(drawn.history.now.outline).toEqual([
    [0, 0],
    [10, 0],
    [10, 10],
  ]);
  expect([drawn.tool, drawn.corners, drawn.item]).toEqual(['choose', [], { kind: 'corner', key: null, index: 0 }]);
});

test('an outline that crosses itself, or has two corners, is not closed, and says why', () => {
  const crossed = after(editOf(plan), { do: 'take', tool: { draw: 'sand' } }, put(0, 0), put(10, 10), put(10, 0), put(0, 10), {
    do: 'close',
  });
  expect([crossed.notice, crossed.corners.length, crossed.history.past.length]).toEqual([expect.any(String), 4, 0]);
  const two = after(editOf(plan), { do: 'take', tool: { draw: 'sand' } }, put(0, 0), put(10, 10), { do: 'close' });
  expect([two.notice, two.corners.length]).toEqual([expect.any(String), 2]);
});

test('with keys, a corner that was just set goes first, then the last step', () => {
  const drawing = after(editOf(plan), titled('A'), { do: 'take', tool: { draw: 'sand' } }, put(0, 0));
  const cornerless = after(drawing, { do: 'back' });
  expect([cornerless.corners, titleOf(cornerless)]).toEqual([[], 'A']);
  expect(titleOf(after(cornerless, { do: 'back' }))).toBe('Square');
});

test('stations are put down in a row, a height one by one; a station without a hole is not', () => {
  const stations = after(editOf(plan), { do: 'take', tool: 'station' }, put(5, 5), put(6, 6));
  expect([stations.history.now.stations.length, stations.tool, stations.item?.kind]).toEqual([4, 'station', 'station']);
  expect(after(editOf(plan), { do: 'take', tool: 'height' }, put(1, 1)).tool).toBe('choose');
  const none = after(editOf(green({ holes: [], stations: [] })), { do: 'take', tool: 'station' }, put(1, 1));
  expect([none.notice, none.history.now.stations]).toEqual(['Put a hole down first: a station plays to one.', []]);
});

test('escape lets the tool go, then what is chosen; what is removed is chosen no more', () => {
  const chosen = after(editOf(plan), { do: 'choose', item: { kind: 'station', key: 's1' } });
  expect(after(chosen, { do: 'take', tool: 'hole' }, { do: 'escape' })).toMatchObject({ tool: 'choose', item: null });
  expect(after(chosen, { do: 'escape' }).item).toBeNull();
  const removed = after(chosen, { do: 'remove', item: { kind: 'station', key: 's1' } });
  expect([removed.history.now.stations.map(({ key }) => key), removed.item]).toEqual([['s2'], null]);
  expect(after(removed, { do: 'undo' }).history.now.stations).toHaveLength(2);
});
