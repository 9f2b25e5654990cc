'use client';

import { counted } from '@/core/units/format';
import { useState, useTransition } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { LinkDays } from '@/core/people/link';
import { ListFilters, NoMatch } from '@/ui/list-filters';
import { QrCode } from '@/ui/qr-code';
import { useShowAll } from '@/ui/use-show-all';
import { PrintButton } from '../../form/print-button';
import { GroupChoice, isInGroup, isNamed, type Group } from '../find-players';
import { makeLinksAction, type NewLink } from './actions';
import { DaysSelect } from '../../form/days-select';
import styles from './links.module.scss';

type Props = {
  slug: string;
  academy: string;
  players: readonly { id: string; name: string }[];
  groups: readonly Group[];
  dead: string | null;
};

/** Of so many players a card is offered for each; of more somebody says for whom. */
const FOR_ALL = 50;

/** A card with a personal link for each of several players, to be printed and handed out. */
export function LinkCards({ slug, academy, players, groups, dead }: Props) {
  const [chosen, setChosen] = useState(() => new Set(players.length > FOR_ALL ? [] : players.map(({ id }) => id)));
  const [days, setDays] = useState<LinkDays>(30);
  const [cards, setCards] = useState<NewLink[]>([]);
  const [busy, begin] = useTransition();
  const [wrong, setWrong] = useState('');
  /** Chooses some more, or no longer. */
  const choose = (some: readonly { id: string }[], is: boolean) =>
    setChosen((now) => {
      const ids = some.map(({ id }) => id);
      return new Set(is ? [...now, ...ids] : [...now].filter((id) => !ids.includes(id)));
    });
  const make = () =>
    begin(async () => {
      setWrong('');
      const result = await makeLinksAction(slug, [...chosen], days).catch(() => null);
      const made = result?.ok ? result.links : [];
      if (made.length === 0) setWrong('No links made: no connection. Try again.');
      else setCards(made);
    });
  const nameOf = (playerId: string) => players.find(({ id }) => id === playerId)?.name ?? '';
  if (cards.length > 0)
    return (
      <>
        <div className="d-flex gap-2 align-items-center no-print mb-3">
          <PrintButton />
          <span className="small-print">These cards are shown only once. If one is lost, revoke it on the player’s page.</span>
        </div>
        <div className={styles.cards}>
          {cards.map((card) => (
            <figure key={card.linkId}>
              <QrCode address={card.address} label={`Link of ${nameOf(card.playerId)}`} />
              <figcaption>
                <b>{nameOf(card.playerId)}</b>
                <span>{academy}, your own games. Keep it to yourself: whoever has this card can record for you.</span>
              </figcaption>
            </figure>
          ))}
        </div>
      </>
    );
  return (
    <div className={styles.choose}>
      <ForWhom players={players} groups={groups} chosen={chosen} onChoose={choose} />
      <div className={styles.make}>
        <DaysSelect days={days} onDays={setDays} />
        <Button variant="primary" disabled={busy || chosen.size === 0} onClick={make}>
          Make {counted(chosen.size, 'card')}
        </Button>
      </div>
      {wrong && (
        <p role="alert" className="text-danger fw-semibold">
          {wrong}
        </p>
      )}
      {dead && (
        <p className="small-print mt-2">
          The cards would lead to {dead}, which no phone can open: start the program with PUBLIC_URL set to the address under which phones
          reach it.
        </p>
      )}
    </div>
  );
}

type ForWhomProps = Pick<Props, 'players' | 'groups'> & {
  chosen: ReadonlySet<string>;
  onChoose: (players: Props['players'], is: boolean) => void;
};

/** The players by name, found by a part of it or by their group, each to be chosen. */
function ForWhom({ players, groups, chosen, onChoose }: ForWhomProps) {
  const [text, setText] = useState('');
  const [group, setGroup] = useState('');
  const found = players.filter(({ id, name }) => isNamed(name, text) && isInGroup(groups, group, id));
  const { shown, more } = useShowAll(found);
  const whom = found.length === players.length ? 'all' : counted(found.length, 'player');
  const showAll = () => {
    setText('');
    setGroup('');
  };
  return (
    <>
      <h2 id="cards-for">For whom?</h2>
      <ListFilters find="Find a player" text={text} onText={setText}>
        <GroupChoice groups={groups} value={group} onChoose={setGroup} />
        {found.length > 0 &&
          [true, false].map((is) => (
            <Button
              key={String(is)}
              size="sm"
              variant="outline-dark"
              disabled={found.every(({ id }) => chosen.has(id) === is)}
              onClick={() => onChoose(found, is)}
            >
              {is ? `Choose ${whom}` : `Clear ${whom}`}
            </Button>
          ))}
      </ListFilters>
      <div role="group" aria-labelledby="cards-for" className={styles.names}>
        {shown.map((player) => (
          <Form.Check
            key={player.id}
            id={`card-${player.id}`}
            label={player.name}
            checked={chosen.has(player.id)}
            onChange={({ target }) => onChoose([player], target.checked)}
          />
        ))}
      </div>
      {found.length === 0 && <NoMatch what="player" all={counted(players.length, 'player')} onAll={showAll} />}
      {more}
    </>
  );
}
