import { Form } from 'react-bootstrap';

type Named = { id: string; name: string };
type Props = {
  players: readonly Named[];
  chosen: string | undefined;
  /** What stands for nobody; without it somebody is always chosen. */
  nobody?: string;
  label?: string;
  onChoose: (playerId: string | undefined) => void;
};

/** Of whom a tool speaks. */
export function PlayerChoice({ players, chosen, nobody, label = 'Player', onChoose }: Props) {
  return (
    <Form.Select
      aria-label={label}
      className="no-print"
      value={chosen ?? ''}
      onChange={({ target }) => onChoose(target.value || undefined)}
    >
      {nobody !== undefined && <option value="">{nobody}</option>}
      {players.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Form.Select>
  );
}
