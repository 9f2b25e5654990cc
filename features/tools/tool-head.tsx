import type { ReactNode } from 'react';
import styles from './tools.module.scss';

type Props = { title: string; /** Of whom it is. */ beside?: string; children?: ReactNode };

/** The head of a tool: what it is, and beside it who and where. */
export function ToolHead({ title, beside, children }: Props) {
  return (
    <div className={styles.head}>
      <h1>
        {title} {beside && <span className="beside">{beside}</span>}
      </h1>
      {children}
    </div>
  );
}
