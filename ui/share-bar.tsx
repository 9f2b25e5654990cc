import styles from './share-bar.module.scss';

/** How far something is that takes a while. @param share from 0 to 1; null: nobody knows, and it goes on */
export function ShareBar({ share, label }: { share: number | null; label: string }) {
  const said = share === null ? {} : { 'aria-valuenow': Math.round(100 * share) };
  return (
    <div className={styles.bar} role="progressbar" aria-label={label} aria-valuemin={0} aria-valuemax={100} {...said}>
      <span className={share === null ? styles.going : undefined} style={{ width: share === null ? '12%' : `${100 * share}%` }} />
    </div>
  );
}
