import Link from 'next/link';
import { AccountPage } from '../account/account-page';
import styles from './privacy.module.scss';

/** What is kept about whom, for everybody to read. Each sentence stands in docs/privacy.md too, with where it is kept. */
const KEPT: readonly (readonly [whom: string, lines: readonly string[]])[] = [
  [
    'Players',
    [
      'A name or nickname, playing level, which hand, clubs, and lengths such as a pace. No birthday, no address, no photo, no e-mail.',
      'Under 18: also the year of birth, who looks after the player (name, e-mail, phone), and their consent with its date. Without consent, only a first name or nickname.',
      'Every ball that is recorded: from where, which shot, where it finished, and notes.',
      'Who sees it: the academy’s coaches, assistants who look after the player’s group, a guardian who accepted an invitation, and the player, through a personal link. A guardian sees only that player.',
      'How long: until a coach erases the player. Then it all goes at once: name, balls, notes, plans and links. The owner can also have sessions deleted after some years.',
    ],
  ],
  [
    'Coaches and assistants',
    [
      'A name, an e-mail address, and a scrambled password that nobody can read. Of a passkey, which device made it and when; its secret never leaves that device.',
      'Where they’re signed in: browser, system and time, but no internet address. After 30 days without use they’re signed out.',
    ],
  ],
  [
    'Who changed or viewed what',
    [
      'Changes, downloads and views of players’ pages, for a year. Only the academy’s owner sees the list. It never names an erased player.',
    ],
  ],
  [
    'On a phone',
    [
      'Games, and balls that aren’t sent yet. Players’ levels and clubs only if a coach chose “Keep them on this phone”.',
      'The owner sees when each phone last sent balls, and which balls were refused in the last 90 days.',
      'Signing out, or “Forget this phone”, removes all but the balls that aren’t sent yet.',
    ],
  ],
  [
    'In backups',
    ['Whoever runs the server keeps the newest backups, encrypted. If one is restored, players who were erased since are erased again.'],
  ],
];

export function PrivacyPage() {
  return (
    <AccountPage title="What Inch Game keeps" wide foot={<Link href="/">Back</Link>}>
      <p>
        Inch Game doesn’t share data and doesn’t track visitors. Cookies only keep you signed in. Internet addresses aren’t stored: a
        scrambled form of them counts wrong passwords and links, for an hour at most.
      </p>
      <div className={styles.parts}>
        {KEPT.map(([whom, lines]) => (
          <section key={whom}>
            <h2>{whom}</h2>
            <ul>
              {lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
        ))}
        <section>
          <h2>What you can ask for</h2>
          <p>
            Everything about a player, as one file, and an end of it: players ask on their personal link, under “Your data”, guardians on
            the player’s page. A coach erases the player, or says why not.
          </p>
        </section>
      </div>
    </AccountPage>
  );
}
