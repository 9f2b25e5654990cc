/** A name as it is compared: without accents, case and doubled blanks. */
const plain = (name: string) =>
  name
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[\s.,]+/g, ' ')
    .trim();

/** "Weiss, Otto" is "Otto Weiss". */
const turned = (name: string) => (/^[^,]+,[^,]+$/.test(name) ? name.split(',').reverse().join(' ') : name);

/** The one of the players whom a name of a table means; null where that is nobody, or could be two. */
export function playerNamed<Player extends { name: string }>(name: string, players: readonly Player[]): Player | null {
  const [as, other] = [plain(name), plain(turned(name))];
  const same = players.filter((player) => plain(player.name) === as || plain(player.name) === other);
  return same.length === 1 ? same[0]! : null;
}
