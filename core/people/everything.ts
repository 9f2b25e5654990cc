/** What stands first in the file with everything about a player. @param day on which it was made */
export function everythingReadMe(player: string, academy: string, day: string): string {
  return `Everything that ${academy} keeps about ${player} in Inch Game, as of ${day}.

report.pdf, report.json   how ${player} is doing, as worked out from what was recorded
sessions.csv              every finished session: game, score, conditions, notes
balls.csv                 every ball: lie, distance, shot, how it finished; lengths in metres
tables/                   the records themselves, one line of JSON each: the player, clubs,
                          groups, guardians, consents, sessions, notes, plans and all that was
                          said about each ball, corrections included

The other players of a shared session, and plans made for several players, are left out.
Personal links, report links and passwords are not in it.
`;
}
