type Grip = {
  name: string;
  /** The value as it is read out. */
  says: string;
  value: number;
  most?: number;
  /** Moves by so many steps. */
  onStep: (steps: number) => void;
};

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 4, PageDown: -4 };

/** What makes a drawn grip a slider: its name and value for those who can't see it, and the arrow keys. */
export function gripProps({ name, says, value, most, onStep }: Grip) {
  const round = (metres: number) => Math.round(metres * 100) / 100;
  return {
    role: 'slider',
    tabIndex: 0,
    'aria-label': name,
    'aria-valuemin': 0,
    'aria-valuenow': round(value),
    'aria-valuetext': says,
    ...(most === undefined ? {} : { 'aria-valuemax': round(most) }),
    onKeyDown: (event: React.KeyboardEvent) => {
      const steps = STEPS[event.key];
      if (steps === undefined) return;
      event.preventDefault();
      onStep(steps);
    },
  };
}
