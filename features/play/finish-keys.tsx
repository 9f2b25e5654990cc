import styles from './play.module.scss';

type Props = { record: string; onRecord: () => void; onCancel: () => void };

/** The two ends of an entry: record what the panel says, or go back to the keys. */
export function FinishKeys({ record, onRecord, onCancel }: Props) {
  return (
    <div className={styles.finish}>
      <button type="button" className="btn btn-outline-dark" onClick={onCancel}>
        Cancel
      </button>
      <button type="button" className="btn btn-primary" onClick={onRecord}>
        Record {record}
      </button>
    </div>
  );
}
