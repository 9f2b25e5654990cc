import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { believe, diagnose, type Finding } from '@/core/skill/diagnose';
import { gather } from '@/core/skill/evidence';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/golf/reference';
import { saveDreadsAction, saveRoundMixAction } from './actions';
import { Dreads } from './dreads';
import { RoundMixForm } from './round-mix-form';

jest.mock('./actions', () => ({ saveDreadsAction: jest.fn(), saveRoundMixAction: jest.fn() }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: jest.fn() }) }));
const kept = jest.mocked(saveDreadsAction);
const mixed = jest.mocked(saveRoundMixAction);
beforeEach(() => {
  kept.mockReset().mockResolvedValue({ ok: true });
  mixed.mockReset().mockResolvedValue({ ok: true });
});

const model = modelOf(shippedReference);
const evidence = gather([]);
const { findings } = diagnose(model, believe(evidence, model, 10), evidence, { level: 10, mix: model.mix(10) });
const played = (mean: number, low: number): Finding[] =>
  findings.map((finding) =>
    finding.shotType === 'pitch' && finding.surface === 'heavy_rough'
      ? { ...finding, balls: 10, uses: 1, perShot: { mean, interval80: [low, mean + 0.1], weakest3: 0.2 } }
      : finding,
  );

describe('shots that a player dreads', () => {
  const dread = (rows: Finding[], dreads: Record<string, number> = {}) =>
    render(<Dreads strokes="lost" slug="here" playerId="p" dreads={dreads} findings={rows} />);

  test('stand beside the records, which agree or don’t', () => {
    const agree = dread(played(0.3, 0.1), { 'pitch|heavy_rough': 5 });
    expect(screen.getByText(/dreads it\. The records agree: 0\.30 lost a shot, \d+ balls\./)).toBeInTheDocument();
    agree.unmount();
    const not = dread(played(-0.05, -0.2), { 'pitch|heavy_rough': 4 });
    expect(screen.getByText(/uneasy\. The records don’t: −0\.05 lost a shot/)).toBeInTheDocument();
    not.unmount();
    const unkind = dread(played(0.3, 0.1), { 'pitch|heavy_rough': 1 });
    expect(screen.getByText(/likes it\. The records are less kind/)).toBeInTheDocument();
    unkind.unmount();
    dread(findings, { 'chip|fringe': 5 });
    expect(screen.getByText(/No ball on record\./)).toBeInTheDocument();
  });

  test('are rated and taken off; what could not be kept is said, and stands as it was', async () => {
    dread(findings);
    await userEvent.selectOptions(screen.getByLabelText('Shots'), 'bunker shots');
    await userEvent.click(screen.getByRole('button', { name: 'Rate' }));
    expect(kept).toHaveBeenLastCalledWith('here', 'p', { 'bunker|sand': 5 });
    expect(await screen.findByText('bunker shots', { selector: 'b' })).toBeInTheDocument();
    kept.mockRejectedValue(new Error('away'));
    await userEvent.click(screen.getByRole('button', { name: 'Take bunker shots off' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Not saved');
    expect(screen.getByText('bunker shots', { selector: 'b' })).toBeInTheDocument();
  });
});

describe('the round mix', () => {
  const usual = Object.fromEntries(model.mix(10));
  const form = (own: Record<string, number> | null = null) =>
    render(
      <RoundMixForm
        slug="here"
        playerId="p"
        level={10}
        cells={[...model.cells]}
        usual={usual}
        levels={[10, 28].map((level) => ({ level, mix: Object.fromEntries(model.mix(level)) }))}
        own={own}
      />,
    );
  const field = () => screen.getByLabelText('chip from fairway, 10–20 yd, times a round');

  test('begins from the level or from the player’s own, and takes other levels and grounds', async () => {
    const plain = form();
    expect(field()).toHaveValue(String(Number(usual['chip|fairway|10']!.toFixed(3))));
    await userEvent.click(screen.getByRole('button', { name: 'Soft and thick' }));
    expect(Number((field() as HTMLInputElement).value)).toBeLessThan(usual['chip|fairway|10']!);
    await userEvent.selectOptions(screen.getByLabelText('Begin from a level'), '28');
    expect(field()).toHaveValue(String(Number(model.mix(28).get('chip|fairway|10')!.toFixed(3))));
    plain.unmount();
    form({ 'chip|fairway|10': 2.5 });
    expect(field()).toHaveValue('2.5');
  });

  test('what is no number is said beside its field and nothing is sent; a comma is a point', async () => {
    form();
    await userEvent.clear(field());
    await userEvent.type(field(), 'often');
    await userEvent.click(screen.getByRole('button', { name: 'Save the round mix' }));
    expect(screen.getByText('Enter a number, such as 0.5.')).toBeInTheDocument();
    expect(field()).toHaveValue('often');
    expect(mixed).not.toHaveBeenCalled();
    await userEvent.clear(field());
    await userEvent.type(field(), '1,5');
    await userEvent.click(screen.getByRole('button', { name: 'Save the round mix' }));
    expect(mixed.mock.lastCall![2]).toMatchObject({ 'chip|fairway|10': 1.5 });
    expect(await screen.findByText('Saved.')).toBeInTheDocument();
  });

  test('goes back to what is usual; a network that is away loses nothing', async () => {
    form({ 'chip|fairway|10': 2.5 });
    mixed.mockRejectedValueOnce(new Error('away'));
    await userEvent.click(screen.getByRole('button', { name: 'Save the round mix' }));
    expect(await screen.findByText(/^No connection/)).toBeInTheDocument();
    expect(field()).toHaveValue('2.5');
    await userEvent.click(screen.getByRole('button', { name: 'Reset to level 10' }));
    expect(mixed.mock.lastCall![2]).toBeNull();
  });
});
