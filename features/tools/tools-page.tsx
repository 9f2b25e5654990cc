import Link from 'next/link';
import styles from './tools.module.scss';

const TOOLS = [
  ['landing', 'Landing spot', 'Which club, which flight, where to land it, and how much that forgives.'],
  ['swing', 'Swing lengths', 'How far each club carries to each mark of the hands; look a yardage up, print a card.'],
  ['putts', 'Putts', 'Odds from anywhere, line and pace on a slope, from the fringe.'],
  ['measures', 'Measures', 'Your pace, club and putter in feet and yards, and back.'],
  ['outlook', 'What it is worth', 'What five more up and downs are worth in a round, and what a wanted score takes.'],
] as const;

/** The room Tools: sums that are otherwise done in the head before a shot. */
export function ToolsPage({ slug }: { slug: string }) {
  return (
    <div className="p-3 p-md-4">
      <h1>Tools</h1>
      <ul className={styles.tools}>
        {TOOLS.map(([path, name, what]) => (
          <li key={path}>
            <Link href={`/a/${slug}/tools/${path}`}>
              <b>{name}</b>
              <span>{what}</span>
            </Link>
          </li>
        ))}
        <li>
          <a href="/play/tools">
            <b>At the green</b>
            <span>Landing spots, swing lengths and conversions on the phone. No signal needed.</span>
          </a>
        </li>
      </ul>
    </div>
  );
}
