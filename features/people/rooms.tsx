import Link from 'next/link';
import type { CSSProperties } from 'react';
import { ROLE_WORDS } from '@/core/people/invitation';
import { listed } from '@/core/units/format';
import { sayDay } from '@/core/units/say-moment';
import { requireCoach, requireOwner, signedIn } from '@/server/actor';
import { AccountPage } from '../account/account-page';
import { Groups } from './groups';
import { InviteForm } from './invite-form';
import { JoinPanel } from './join-panel';
import { Invitations, Members } from './members';

/** Who works in the academy; its owner invites, and says what each may do. */
export async function PeopleRoom({ slug }: { slug: string }) {
  const { role, data, academy } = await requireCoach(slug);
  const owner = role === 'owner' ? await requireOwner(slug) : null;
  const now = new Date();
  const [user, members, groups, invitations] = await Promise.all([
    signedIn(),
    data.listMembers(),
    data.listGroups(),
    owner?.data.listInvitations(now) ?? [],
  ]);
  const { timeZone } = academy;
  const groupsOf = (of: (group: (typeof groups)[number]) => boolean) => groups.filter(of).map(({ name }) => name);
  return (
    <div className="desk" style={{ '--side': '28rem' } as CSSProperties}>
      <section>
        <h1 className="mb-3">Coaches and assistants</h1>
        <Members
          slug={slug}
          academy={academy.name}
          owner={owner !== null}
          members={members.map(({ userId, name, email, role: theirs, since }) => {
            const after = groupsOf(({ userIds }) => userIds.includes(userId));
            return {
              ...{ userId, name, email, role: theirs, me: userId === user?.id },
              said: [`since ${sayDay(since, timeZone, now)}`, after.length > 0 ? `looks after ${listed(after)}` : '']
                .filter(Boolean)
                .join(' · '),
            };
          })}
        />
        <Invitations
          slug={slug}
          invitations={invitations.map(({ invitationId, email, role: asked, groupIds, by, createdAt, expiresAt }) => ({
            ...{ invitationId, email },
            said: [
              [
                `as ${asked}`,
                ...(groupIds.length > 0 ? [`for ${listed(groupsOf(({ groupId }) => groupIds.includes(groupId)))}`] : []),
              ].join(' '),
              `by ${by}, ${sayDay(createdAt, timeZone, now)}`,
              `until ${sayDay(expiresAt, timeZone, now)}`,
            ].join(' · '),
          }))}
        />
      </section>
      <aside>
        {owner && <InviteForm slug={slug} groups={groups.map(({ groupId, name }) => ({ groupId, name }))} />}
        <section aria-labelledby="roles" className="mt-4">
          <h2 id="roles">What each can do</h2>
          <ul className="rows">
            {Object.entries(ROLE_WORDS).map(([name, words]) => (
              <li key={name}>
                <span>
                  <b>{name}</b>: {words}
                </span>
              </li>
            ))}
          </ul>
          <p className="mt-3 mb-0">
            An assistant sees the players in their <Link href={`/a/${slug}/players/groups`}>groups</Link>.
          </p>
        </section>
      </aside>
    </div>
  );
}

/** The groups in which players are coached. */
export async function GroupsRoom({ slug }: { slug: string }) {
  const { data } = await requireCoach(slug);
  const [groups, players, members] = await Promise.all([data.listGroups(), data.listPlayerNames(), data.listMembers()]);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '60rem' }}>
      <h1 className="mb-3">Groups</h1>
      <p>Players who are coached together. An assistant sees only the players in the groups they look after.</p>
      <Groups slug={slug} groups={groups} players={players} coaches={members.map(({ userId, name }) => ({ id: userId, name }))} />
    </div>
  );
}

export function JoinRoom() {
  return (
    <AccountPage title="You’re invited">
      <JoinPanel />
    </AccountPage>
  );
}
