import styles from '../designer/designer.module.scss';
import { ChoiceField, NumberField, Toggle, ZoneField } from '../designer/parts';

export function LadderFields({ path }: { path: string }) {
  return (
    <>
      <ZoneField path={`${path}.radiusM`} label="Climbs inside" />
      <div className={styles.pair}>
        <NumberField path={`${path}.drop`} label="A miss drops, rungs" />
        <ChoiceField
          path={`${path}.bottom`}
          label="The lowest rung is"
          options={[
            ['floor', 'a floor'],
            ['end', 'the edge: below it, the end'],
          ]}
        />
        <ChoiceField
          path={`${path}.counts`}
          label="The score is"
          options={[
            ['balls', 'balls used'],
            ['rungs', 'the highest rung'],
          ]}
        />
        <NumberField path={`${path}.mostBalls`} label="Balls at most" />
      </div>
      <Toggle path={`${path}.byTurns`} label="By turns: over when somebody has passed the last rung" />
    </>
  );
}
