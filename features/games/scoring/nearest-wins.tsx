import styles from '../designer/designer.module.scss';
import { ChoiceField, NumberField } from '../designer/parts';
import { FarField } from './far-field';

export function NearestWinsFields({ path }: { path: string }) {
  return (
    <>
      <div className={styles.pair}>
        <NumberField path={`${path}.firstTo`} label="First to, points" placeholder="all balls" />
        <ChoiceField
          path={`${path}.ties`}
          label="Equally near"
          options={[
            ['nobody', 'nobody takes it'],
            ['each', 'each takes it'],
          ]}
        />
        <NumberField path={`${path}.callPoints`} label="A kept call earns" placeholder="no calls" />
        <FarField path={path} />
      </div>
    </>
  );
}
