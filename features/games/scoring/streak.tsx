import styles from '../designer/designer.module.scss';
import { ChoiceField, NumberField, ZoneField } from '../designer/parts';

export function StreakFields({ path }: { path: string }) {
  return (
    <>
      <ZoneField path={`${path}.radiusM`} label="The run goes on inside" />
      <div className={styles.pair}>
        <NumberField path={`${path}.until`} label="Over with, in a row" placeholder="all balls" />
        <ChoiceField
          path={`${path}.counts`}
          label="The score is"
          options={[
            ['run', 'the longest run'],
            ['balls', 'the balls it took'],
          ]}
        />
      </div>
    </>
  );
}
