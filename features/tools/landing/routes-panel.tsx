import { sameRoute, type Route, type Routes } from '@/core/tools/landing-routes';
import { formatLength, listed } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { percent } from '../fields';
import styles from './landing.module.scss';

type Props = { routes: Routes | null; name: string; holeM: number; units: UnitSystem };
/** The same shot at the hole and careful: what each takes, and how bad a miss gets. */
export function RoutesPanel({ routes, name, holeM, units }: Props) {
  return (
    <section aria-busy={routes === null}>
      <h2>Bold or careful, {name}</h2>
      {routes === null ? (
        <p className="small-print mb-0">Working it out …</p>
      ) : !routes.careful ? (
        <p className="mb-0">There is no spot on this green where it would stop.</p>
      ) : !routes.bold ? (
        <p className="mb-0">
          Not at the hole. Aim {sayAim(routes.careful, holeM, units)}: <b className="fig">{routes.careful.chances.strokes.toFixed(2)}</b>{' '}
          strokes, {percent(routes.careful.chances.offGreen)} off the green.
        </p>
      ) : sameRoute(routes) ? (
        <p className="mb-0">Straight at the hole is the careful shot, too.</p>
      ) : (
        <>
          <table className={styles.routes}>
            <thead>
              <tr>
                <td />
                <th scope="col">Strokes</th>
                <th scope="col">Off the green</th>
                <th scope="col">1 ball in 10 needs</th>
              </tr>
            </thead>
            <tbody>
              <Row name="Bold" aim="at the hole" route={routes.bold} />
              <Row name="Careful" aim={sayAim(routes.careful, holeM, units)} route={routes.careful} />
            </tbody>
          </table>
          <p className="mb-0 mt-2">{sayWhich(routes.bold, routes.careful)}</p>
        </>
      )}
    </section>
  );
}

function Row({ name, aim, route: { chances } }: { name: string; aim: string; route: Route }) {
  return (
    <tr>
      <th scope="row">
        {name} <span className="small-print">{aim}</span>
      </th>
      <td className="fig">{chances.strokes.toFixed(2)}</td>
      <td className="fig">{percent(chances.offGreen)}</td>
      <td className="fig">{chances.worst.toFixed(1)} or more</td>
    </tr>
  );
}

/** "2 yd past the hole, 4 yd to its left". */
function sayAim({ aim }: Route, holeM: number, units: UnitSystem): string {
  const unit = units === 'metric' ? 'm' : 'yd';
  const angle = (aim.rightDeg * Math.PI) / 180;
  const [past, aside] = [aim.distanceM * Math.cos(angle) - holeM, aim.distanceM * Math.sin(angle)];
  const says = (metres: number) => formatLength(Math.abs(metres), unit, 0);
  const parts = [
    Math.abs(past) >= 0.45 && `${says(past)} ${past > 0 ? 'past' : 'short of'} the hole`,
    Math.abs(aside) >= 0.45 && `${says(aside)} to the ${aside > 0 ? 'right' : 'left'}${Math.abs(past) >= 0.45 ? '' : ' of the hole'}`,
  ];
  return listed(parts.filter((part) => typeof part === 'string')) || 'at the hole';
}

function sayWhich(bold: Route, careful: Route): string {
  const costs = careful.chances.strokes - bold.chances.strokes;
  const spared = Math.round(100 * (bold.chances.offGreen - careful.chances.offGreen));
  if (costs <= 0) return 'Careful takes no more strokes: aim there.';
  return costs < 0.03
    ? `Careful costs next to nothing and keeps ${spared} more balls in 100 on the green.`
    : `Careful costs ${costs.toFixed(2)} strokes and keeps ${spared} more balls in 100 on the green.`;
}
