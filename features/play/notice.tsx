import styles from './play.module.scss';

type Props = { title: string; text?: string; children?: React.ReactNode; /** Whether there is a desk to go to. */ leave?: boolean };

/** A page that only says something. */
export function Notice({ title, text, children, leave = true }: Props) {
  return (
    <main className={`${styles.notice} dusk`}>
      <h1>{title}</h1>
      {text && <p>{text}</p>}
      {children ??
        (leave && (
          <a href="/" className="btn btn-outline-dark">
            To Today
          </a>
        ))}
    </main>
  );
}
