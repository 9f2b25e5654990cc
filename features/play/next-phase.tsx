import { phaseInWords } from '@/core/game/words/say-phase';
import type { Standing } from '@/core/play/play';
import type { UnitSystem } from '@/core/units/length';
import { Briefing } from './briefing';

type Props = { standing: Standing; system: UnitSystem; said: React.ReactNode; onReady: () => void };

/** Between two phases of a game: what is over, and what there is to do now. */
export function NextPhase({ standing: { game, phase, phases }, system, said, onReady }: Props) {
  return (
    <Briefing lines={phaseInWords(game, phase, system)} onReady={onReady}>
      <p className="mb-1">{phases[phase.index - 1]!.title} is over.</p>
      <h1>{phase.title}</h1>
      {said}
    </Briefing>
  );
}
