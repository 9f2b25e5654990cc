import Link from 'next/link';
import { AccountPage } from '../account/account-page';
import styles from './privacy.module.scss';

/** What is kept about whom, for everybody to read. Each sentence stands in docs/privacy.md too, with where it is kept. */
const KEPT: readonly (readonly [whom: string, lines: readonly string[]])[] = [
  [
    'Players',
    [
      'A name or nickname, playing level, which hand, clubs, and lengths such as a pace. No birthday, no address, no photo, no e-mail.',
      'Every ball that is recorded: from where, which shot, where it finished, and notes.',
      'Who sees it: the coaches of the academy, assistants whose group the player is in, and the player through a personal link.',
      'How long: until a coach erases the player. Then everything of them goes at once: name, balls, notes, plans and links.',
    ],
  ],
  [
    'Coaches and assistants',
    [
      'A name, an e-mail address, and the password in a form that can’t be read back.',
      'Where they are signed in: browser, system and time. Not from which internet address. A sign-in ends after 30 days without use.',
    ],
  ],
  [
    'Who changed or looked at what',
    ['Changes, downloads, and who opened a player’s pages, for a year. The academy’s owner sees it. Names of erased players aren’t in it.'],
  ],
  [
    'On a phone',
    [
      'Games and balls that are still to be sent. Levels and clubs of players only where a coach chose “Keep them on this phone”.',
      'Signing out, or “Forget this phone”, removes it, except balls that aren’t sent yet.',
    ],
  ],
  [
    'In backups',
    ['Whoever runs the server keeps sealed backups for a number of days. Who was erased is erased again when one is restored.'],
  ],
];

export function PrivacyPage() {
  return (
    <AccountPage title="What Inch Game keeps" wide>
      <p>
        Nothing is passed on, and nothing is measured about visitors. Cookies only keep you signed in. Internet addresses aren’t kept: a
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
            A copy of everything recorded about a player, or that a player is erased: ask the academy. Coaches download sessions and balls
            in the logbook, and erase a player on the player’s page.
          </p>
        </section>
      </div>
      <p className="mt-4">
        <Link href="/">Back</Link>
      </p>
    </AccountPage>
  );
}
