'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Form } from 'react-bootstrap';
import { PrintButton } from '../../form/print-button';
import { PaceWalk } from '../../form/pace-walk';
import { savePaceAction } from '../../form/pace-action';
import styles from './sheet.module.scss';

type Props = {
  slug: string;
  address: string;
  players: readonly { id: string; name: string }[];
  /** The player whose lengths are used; null for the coach. */
  by: string | null;
  units: 'imperial' | 'metric';
  paceM: number | null;
  /** The codes lead to an address that no phone can open. */
  dead: string | null;
};

/** Whose lengths the sheet is in, a way to measure a pace, and printing. None of it is printed. */
export function SheetChoices({ slug, address, players, by, units, paceM, dead }: Props) {
  const router = useRouter();
  return (
    <div className={`${styles.choices} no-print`}>
      <Link href={address} className="btn btn-outline-dark">
        Back to the game
      </Link>
      <Form.Group controlId="sheet-by">
        <Form.Label>Set up by</Form.Label>
        <Form.Select
          value={by ?? ''}
          onChange={(event) =>
            router.replace(`${address}/sheet${event.target.value ? `?by=${event.target.value}` : ''}`, { scroll: false })
          }
        >
          <option value="">the coach</option>
          {players.map((player) => (
            <option key={player.id} value={player.id}>
              {player.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <PaceWalk
        key={by ?? ''}
        units={units}
        paceM={paceM}
        onPace={async (metres) => {
          const result = await savePaceAction(slug, by, metres).catch(() => null);
          router.refresh();
          return result !== null && result.ok;
        }}
      />
      <PrintButton />
      {dead && (
        <p className={`${styles.dead} small-print`}>
          The codes lead to {dead}, which no phone can open: start the program with PUBLIC_URL set to the address under which phones reach
          it.
        </p>
      )}
    </div>
  );
}
