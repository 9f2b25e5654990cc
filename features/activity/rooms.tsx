import Link from 'next/link';
import { writeActivityTable } from '@/core/formats/activity-table';
import { sayDone } from '@/core/people/activity';
import { asActivityQuery, readActivityAsked, type ActivityAsked } from '@/core/people/activity-asked';
import { sayMoment } from '@/core/units/say-moment';
import { requireOwner } from '@/server/actor';
import type { Answer } from '@/server/data';
import type { DataFor } from '@/server/rights';
import { csvInPieces } from '../form/csv-in-pieces';
import { ActivityFilters } from './activity-filters';
import styles from './activity.module.scss';

type At = { slug: string; params: Record<string, unknown> };
type Line = Answer<'listActivity'>[number];

/** So many lines stand on a page, and are sent at once in a file. */
const PAGE = 50;
const AT_ONCE = 500;

const whoDid = ({ who, byProgram }: Line) => who ?? (byProgram ? 'Inch Game' : 'somebody since removed');

/** Who changed, or looked at, what: for the owner. */
export async function ActivityRoom({ slug, params }: At) {
  const { data, academy } = await requireOwner(slug);
  const asked = readActivityAsked(params);
  const [lines, members, players] = await Promise.all([data.listActivity(asked, PAGE + 1), data.listMembers(), data.listPlayerNames()]);
  const shown = lines.slice(0, PAGE);
  const path = `/a/${slug}/settings/activity`;
  return (
    <div className="p-3 p-md-4">
      <h1 className="mb-2">Activity</h1>
      <p className={styles.about}>
        Who changed or viewed what in the last year. Nobody can edit this list. Changes to balls are on their session’s page instead.
      </p>
      <ActivityFilters
        asked={asked}
        members={members.map(({ userId, name }) => ({ id: userId, name }))}
        players={players}
        none={shown.length === 0}
      >
        {shown.length > 0 && (
          <>
            <table className={styles.lines}>
              <caption className="visually-hidden">Activity</caption>
              <thead>
                <tr>
                  <th scope="col">When</th>
                  <th scope="col">Who</th>
                  <th scope="col">What</th>
                </tr>
              </thead>
              <tbody>
                {shown.map((line) => (
                  <tr key={line.activityId}>
                    <td>{sayMoment(line.at, academy.timeZone)}</td>
                    <td>{whoDid(line)}</td>
                    <td>{sayDone(line)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <nav aria-label="Pages" className="d-flex flex-wrap gap-2 mt-3 no-print">
              {asked.before !== undefined && (
                <Link href={path + asActivityQuery({ ...asked, before: undefined })} className="btn btn-outline-dark">
                  Newest
                </Link>
              )}
              {lines.length > PAGE && (
                <Link href={path + asActivityQuery({ ...asked, before: shown.at(-1)!.activityId })} className="btn btn-outline-dark">
                  Older
                </Link>
              )}
              <a href={`${path}/file${asActivityQuery({ ...asked, before: undefined })}`} className="btn btn-outline-dark" download>
                Download
              </a>
            </nav>
          </>
        )}
      </ActivityFilters>
    </div>
  );
}

/** What was found, as a table, read and sent piece by piece. */
export async function answerActivityFile(slug: string, params: Record<string, unknown>): Promise<Response> {
  const { data } = await requireOwner(slug);
  const asked = readActivityAsked(params);
  return csvInPieces('activity.csv', (before: number | null, first) => piece(data, { ...asked, before: before ?? undefined }, first));
}

async function piece(data: DataFor<'owner'>, asked: ActivityAsked, first: boolean) {
  const lines = await data.listActivity(asked, AT_ONCE);
  const out = lines.map((line) => ({ at: line.at, who: whoDid(line), what: line.what, about: line.about, done: sayDone(line) }));
  return { text: writeActivityTable(out, first), next: lines.length === AT_ONCE ? lines.at(-1)!.activityId : null };
}
