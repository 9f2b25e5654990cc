import styles from './session-menu.module.scss';

/** The head of a panel: what it is, and the way back. */
export function Top({ title, onBack }: { title: string; onBack: () => void }) {
  return (
    <div className={styles.top}>
      <h1>{title}</h1>
      <button type="button" className="btn btn-outline-dark" onClick={onBack}>
        Back
      </button>
    </div>
  );
}
