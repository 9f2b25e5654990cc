import type { CSSProperties } from 'react';
import Link from 'next/link';
import { notFound, redirect } from 'next/navigation';
import { schemeOf } from '@/core/game/scoring';
import { sayScore } from '@/core/game/words/say-score';
import { sayLevel } from '@/core/golf/level';
import { dayIn } from '@/core/units/day';
import { counted } from '@/core/units/format';
import { sayDate, sayDay, sayMoment } from '@/core/units/say-moment';
import { childrenSeen, requireCoach, requireGuardian, signedIn } from '@/server/actor';
import type { Answer } from '@/server/data';
import { ownReport } from '@/server/known/own-report';
import { uuidOr404 } from '@/server/params';
import { AccountPage } from '../account/account-page';
import { PrintButton } from '../form/print-button';
import { pdfResponse, reportPdf } from '../report/pdf';
import { ReportView } from '../report/report-view';
import { sayGiven } from '../session/result-line';
import { PlayerHead } from '../skill/player-head';
import { AnswerErasure } from './answer-erasure';
import { AskErasure } from './ask-erasure';
import { BornYear } from './born-year';
import { Consent } from './consent';
import { answerEverything } from './everything';
import styles from './families.module.scss';
import { Guardians } from './guardians';
import { OwnConsent } from './own-consent';

type Family = NonNullable<Answer<'familyOf'>>;

const dateOf = (day: string) => sayDate(new Date(`${day}T12:00:00Z`), 'UTC');

/** Consents in words: the one that holds, and those before. */
function sayConsents(consents: Family['consents'], timeZone: string) {
  const said = ({ by, on, way }: Family['consents'][number]) =>
    `${by}, ${dateOf(on)}${way === 'account' ? ', with their own account' : ''}`;
  const [first] = consents;
  return {
    holds: first && first.withdrawnAt === null ? said(first) : null,
    earlier: consents.flatMap((one) => (one.withdrawnAt ? [`${said(one)}; withdrawn ${sayDate(one.withdrawnAt, timeZone)}`] : [])),
  };
}

/** Who looks after a player at home, what they agreed to, and what they ask for. */
export async function FamilyRoom({ slug, playerId }: { slug: string; playerId: string }) {
  const { data, academy } = await requireCoach(slug);
  const found = await data.getPlayer(uuidOr404(playerId));
  const family = found && (await data.familyOf(found.player.playerId));
  if (!family) notFound();
  const { player } = found;
  const { playerId: id, name } = player;
  const { timeZone } = academy;
  const [now, { guardians, erasure, bornYear, underAge }] = [new Date(), family];
  const waits = erasure && erasure.declinedAt === null;
  return (
    <div className="desk" style={{ '--side': '24rem' } as CSSProperties}>
      <section>
        <PlayerHead slug={slug} player={player} mayChange beside={`level ${sayLevel(player.level)}`} />
        <div className="d-grid gap-4">
          {waits && (
            <AnswerErasure
              slug={slug}
              player={{ playerId: id, name }}
              who={erasure.byPlayer ? null : (erasure.who ?? 'Somebody')}
              on={sayDay(erasure.askedAt, timeZone, now)}
              words={erasure.words}
            />
          )}
          <BornYear key={bornYear} slug={slug} playerId={id} bornYear={bornYear} year={now.getUTCFullYear()} />
          {(underAge || family.consents.length > 0) && (
            <Consent
              slug={slug}
              player={{ playerId: id, name }}
              {...sayConsents(family.consents, timeZone)}
              by={guardians[0]?.name ?? ''}
              today={dayIn(now, timeZone)}
            />
          )}
          {(underAge || guardians.length > 0) && (
            <Guardians
              slug={slug}
              player={{ playerId: id, name }}
              guardians={guardians.map(({ invitedUntil, ...one }) => ({
                ...one,
                invitedUntil: invitedUntil && sayDay(invitedUntil, timeZone, now),
              }))}
            />
          )}
        </div>
      </section>
      <aside>
        <section aria-labelledby="everything" className="d-grid gap-2">
          <h2 id="everything" className="m-0">
            Everything about {name}
          </h2>
          <p className="m-0">
            One file with the report, every session and ball, notes and plans: for {name}, or their family, if they ask.
          </p>
          <div>
            <a className="btn btn-outline-dark" href={`/a/${slug}/players/${id}/everything`} download>
              Download everything
            </a>
          </div>
          <p className="small-print m-0">
            Coaches’ notes are in it. <Link href="/privacy">What Inch Game keeps</Link>
          </p>
          {erasure?.declinedAt && (
            <p className="small-print m-0">
              A request to erase {name} was declined on {sayDate(erasure.declinedAt, timeZone)}: “{erasure.why}”
            </p>
          )}
        </section>
      </aside>
    </div>
  );
}

/** The same as a file. */
export async function answerEverythingAtDesk(slug: string, playerId: string): Promise<Response> {
  const { data, academy } = await requireCoach(slug);
  return (await answerEverything(academy.academyId, data, uuidOr404(playerId))) ?? notFound();
}

/** The players about whom somebody reads. */
export async function FamilyListRoom() {
  const user = await signedIn();
  if (!user) redirect('/sign-in?next=/family');
  const children = await childrenSeen(user.id);
  const [only] = children;
  if (only && children.length === 1) redirect(`/family/${only.slug}/${only.playerId}`);
  return (
    <AccountPage title="Your family" wide>
      {children.length === 0 && <p className="empty">Nobody here yet. A coach invites you by e-mail to see how a player is doing.</p>}
      <ul className="rows">
        {children.map(({ slug, academy, playerId, name }) => (
          <li key={`${slug} ${playerId}`}>
            <span>
              <Link href={`/family/${slug}/${playerId}`}>
                <b>{name}</b>
              </Link>
              <br />
              <span className="small-print">{academy}</span>
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-4">
        <Link href="/account">Your account</Link>
      </p>
    </AccountPage>
  );
}

async function atHomeWith(slug: string, playerId: string) {
  const home = await requireGuardian(slug);
  const id = uuidOr404(playerId);
  const found = await home.data.getPlayer(id);
  const family = found && (await home.data.familyOf(id));
  if (!family) notFound();
  return { ...home, player: found.player, family };
}

const SHOWN = 20;

/** How a player is doing, for whoever looks after them; what they agree to, and what they can ask for. */
export async function ChildRoom({ slug, playerId }: { slug: string; playerId: string }) {
  const { actor, data, academy, player, family } = await atHomeWith(slug, playerId);
  const { timeZone } = academy;
  const { name, units } = player;
  const now = new Date();
  const [report, places, children] = await Promise.all([
    ownReport(academy.academyId, player.playerId, now),
    data.placesOf(player.playerId, SHOWN),
    childrenSeen(actor.userId),
  ]);
  const { holds } = sayConsents(family.consents, timeZone);
  const of = { playerId: player.playerId, name };
  const { erasure } = family;
  const consent = <OwnConsent slug={slug} academy={academy.name} player={of} holds={holds} />;
  const base = `/family/${slug}/${player.playerId}`;
  return (
    <main id="main" className={styles.home}>
      <header className="no-print">
        <b>Inch Game</b>
        <nav aria-label="Your family" className="d-flex flex-wrap gap-3">
          {children.length > 1 && <Link href="/family">All players</Link>}
          <Link href="/account">Your account</Link>
        </nav>
      </header>
      {family.underAge && !holds && consent}
      <div className={styles.columns}>
        {report && <ReportView report={report} />}
        <aside className="d-grid gap-4 no-print">
          <div className="d-flex flex-wrap gap-2">
            <PrintButton variant="outline-dark" />
            <a className="btn btn-outline-dark" href={`${base}/report`} download>
              Save as PDF
            </a>
          </div>
          <section aria-labelledby="sessions">
            <h2 id="sessions">Sessions</h2>
            {places.length === 0 && <p>None finished yet.</p>}
            <ul className="rows">
              {places.map(({ session, score, balls }) => (
                <li key={session.sessionId} className="align-items-baseline">
                  <span>
                    {session.spec.title}
                    <br />
                    <span className="small-print">
                      {sayMoment(session.startedAt, timeZone)}
                      {balls > 0 && ` · ${counted(balls, 'ball')}`}
                    </span>
                  </span>
                  {score !== null && (
                    <b className="fig">
                      {session.given === null
                        ? sayScore(score, schemeOf(session.spec.scoring).unit(session.spec.scoring), units)
                        : sayGiven(score, session.given)}
                    </b>
                  )}
                </li>
              ))}
            </ul>
          </section>
          {family.underAge && holds && consent}
          <section aria-labelledby="everything" className="d-grid gap-2">
            <h2 id="everything" className="m-0">
              What’s kept about {name}
            </h2>
            <p className="m-0">
              <Link href="/privacy">What Inch Game keeps, and who sees it</Link>
            </p>
            <div>
              <a className="btn btn-outline-dark" href={`${base}/everything`} download>
                Download everything
              </a>
            </div>
            <AskErasure
              slug={slug}
              academy={academy.name}
              player={of}
              asked={
                erasure && {
                  on: sayDate(erasure.askedAt, timeZone),
                  declined: erasure.declinedAt && sayDate(erasure.declinedAt, timeZone),
                  why: erasure.why,
                }
              }
            />
          </section>
        </aside>
      </div>
    </main>
  );
}

/** Everything about them as a file. */
export async function answerEverythingAtHome(slug: string, playerId: string): Promise<Response> {
  const { academy, data, player } = await atHomeWith(slug, playerId);
  return (await answerEverything(academy.academyId, data, player.playerId)) ?? notFound();
}

/** Their report as PDF. */
export async function answerReportAtHome(slug: string, playerId: string): Promise<Response> {
  const { academy, player } = await atHomeWith(slug, playerId);
  const report = await ownReport(academy.academyId, player.playerId, new Date());
  return report ? pdfResponse(await reportPdf(report)) : notFound();
}
