import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { NoteFields } from './notes';

const onKeep = jest.fn<Promise<unknown>, ['own' | 'coach', string]>();
const fields = (own: string) => (
  <NoteFields id="n" notes={{ own, coach: '', coaches: [] }} by="player" timeZone="Europe/London" onKeep={onKeep} />
);
const note = () => screen.getByLabelText(/^Player’s note/);
const state = () => screen.getByRole('status').textContent;

beforeEach(() => onKeep.mockReset().mockResolvedValue(null));

test('a note is kept when its field is left, and stands there before and after it is told back', async () => {
  const user = userEvent.setup();
  const { rerender } = render(fields(''));
  await user.type(note(), 'Too quick');
  await user.tab();
  expect(onKeep.mock.calls).toEqual([['own', 'Too quick']]);
  expect(note()).toHaveValue('Too quick');
  expect(state()).toBe('kept');
  rerender(fields('Too quick'));
  expect(note()).toHaveValue('Too quick');
  expect(state()).toBe('kept');
  await user.click(note());
  await user.tab();
  expect(onKeep).toHaveBeenCalledTimes(1);
});

test('a note from elsewhere is shown, unless somebody is writing', async () => {
  const user = userEvent.setup();
  const { rerender } = render(fields(''));
  rerender(fields('From the other phone'));
  expect(note()).toHaveValue('From the other phone');
  await user.type(note(), ', and more');
  rerender(fields('From a third'));
  expect(note()).toHaveValue('From the other phone, and more');
  await user.tab();
  expect(onKeep.mock.calls).toEqual([['own', 'From the other phone, and more']]);
});

test('a note that could not be kept says so, and goes again when the field is left', async () => {
  const user = userEvent.setup();
  onKeep.mockRejectedValueOnce(new Error('no network'));
  render(fields(''));
  await user.type(note(), 'Too quick');
  await user.tab();
  expect(state()).toBe('not saved: no connection');
  await user.click(note());
  await user.tab();
  expect(onKeep).toHaveBeenCalledTimes(2);
  expect(state()).toBe('kept');
});
