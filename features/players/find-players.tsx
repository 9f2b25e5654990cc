import { FilterChoice } from '@/ui/list-filters';

export type Group = { groupId: string; name: string; playerIds: readonly string[] };

type Props = { groups: readonly Group[]; value: string; onChoose: (groupId: string) => void };

/** A filter by a group of players, where there are any; "": all. */
export function GroupChoice({ groups, value, onChoose }: Props) {
  if (groups.length === 0) return null;
  const options = [['', 'all groups'], ...groups.map(({ groupId, name }) => [groupId, name] as const)] as const;
  return <FilterChoice label="Group" value={value} options={options} onChoose={onChoose} />;
}

/** Whether a player is in the group that was chosen. */
export const isInGroup = (groups: readonly Group[], chosen: string, playerId: string) =>
  chosen === '' || groups.some(({ groupId, playerIds }) => groupId === chosen && playerIds.includes(playerId));

/** Whether a name has what is looked for in it, written in capitals or not. */
export const isNamed = (name: string, text: string) => name.toLocaleLowerCase().includes(text.trim().toLocaleLowerCase());
