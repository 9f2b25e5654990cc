import { isPutt } from '@/core/golf/shot-types';
import Link from 'next/link';
import { CARE_IN_SHORT } from '@/core/game/words/care';
import { factsOf } from '@/core/green/facts';
import { NO_WARNING } from '@/core/green/parties';
import { fallOf, gradientOf } from '@/core/green/slope';
import { say } from '@/core/golf/words';
import { formatLength } from '@/core/units/format';
import type { Academy, GreenRow } from '@/server/data';
import { PrintButton } from '../form/print-button';
import { PlanPicture } from './plan-picture';
import { saySize } from './say-size';

type Props = { slug: string; green: GreenRow; academy: Academy };

/** A plan on one sheet of paper: the drawing, and what it says about every station. */
export function PlanPage({ slug, green, academy }: Props) {
  const { plan, version } = green;
  const system = academy.units;
  const fall = fallOf(gradientOf(plan.slope));
  const far = (metres: number, putt: boolean) =>
    formatLength(metres, system === 'metric' ? 'm' : putt ? 'ft' : 'yd', system === 'metric' ? 1 : 0);
  return (
    <div className="sheet">
      <p className="no-print d-flex gap-2">
        <Link href={`/a/${slug}/greens/${green.greenId}`} className="btn btn-outline-dark">
          Back to the plan
        </Link>
        <PrintButton />
      </p>
      <header className="sheet-head">
        <h1>{plan.title}</h1>
        <p className="mb-0">
          {[
            `version ${version}`,
            saySize(plan.outline, system),
            plan.stimpFt !== null && `Stimp ${plan.stimpFt}`,
            plan.firmness,
            fall && `falls ${fall.percent.toFixed(1)}% towards ${Math.round(fall.towardsDeg)}°`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </header>
      <PlanPicture plan={plan} system={system} label={`${plan.title} from above`} wide={520} high={380} />
      {plan.stations.length > 0 && (
        <div className="table-responsive" role="region" aria-label="Stations" tabIndex={0}>
          <table className="table mt-3">
            <thead>
              <tr>
                <th scope="col">station</th>
                <th scope="col">shot</th>
                <th scope="col">from</th>
                <th scope="col">to the hole</th>
                <th scope="col">to the edge</th>
                <th scope="col">green</th>
              </tr>
            </thead>
            <tbody>
              {plan.stations.map((station, i) => {
                const { hole, line, surface, shotType } = factsOf(plan, station, system);
                const putt = isPutt(shotType);
                return (
                  <tr key={station.key}>
                    <th scope="row">
                      {i + 1} → {hole.label}
                    </th>
                    <td>{say(shotType)}</td>
                    <td>{say(surface)}</td>
                    <td className="fig">{far(line.distanceM, putt)}</td>
                    <td className="fig">{putt ? '' : far(line.edgeM, false)}</td>
                    <td className="fig">
                      {far(line.greenM, putt)}
                      {line.shortSided && ', short-sided'}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      <p className="small-print">
        {CARE_IN_SHORT} {NO_WARNING}
      </p>
    </div>
  );
}
