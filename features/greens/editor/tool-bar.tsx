import { Button } from 'react-bootstrap';
import { AREA_KINDS, type AreaKind, type GreenPlan } from '@/core/green/plan';
import { say } from '@/core/golf/words';
import styles from './editor.module.scss';
import { isDrawing, type Tool } from './tools';

const AREA_WORDS = AREA_KINDS.filter((kind) => kind !== 'sand');

/** The tools: what a tap on the plan does. */
export function ToolBar({ tool, plan, onTake }: { tool: Tool; plan: GreenPlan; onTake: (tool: Tool) => void }) {
  const shape = plan.outline.length >= 3;
  const drawing = isDrawing(tool) ? tool.draw : null;
  const one = (name: string, to: Tool, on: boolean, needs = true) => (
    <Button key={name} variant={on ? 'dark' : 'outline-dark'} aria-pressed={on} disabled={!needs} onClick={() => onTake(to)}>
      {name}
    </Button>
  );
  return (
    <div className={styles.tools} role="toolbar" aria-label="Tools">
      {one('Move', 'choose', tool === 'choose', shape)}
      {one('Outline', { draw: 'green' }, drawing === 'green')}
      {one('Bunker', { draw: 'sand' }, drawing === 'sand', shape)}
      <select
        aria-label="Draw an area"
        className={`form-select ${styles.areas}`}
        data-on={(drawing !== null && drawing !== 'green' && drawing !== 'sand') || undefined}
        disabled={!shape}
        value={drawing && drawing !== 'green' && drawing !== 'sand' ? drawing : ''}
        onChange={(event) => onTake(event.target.value ? { draw: event.target.value as AreaKind } : 'choose')}
      >
        <option value="">Area …</option>
        {AREA_WORDS.map((kind) => (
          <option key={kind} value={kind}>
            {say(kind)}
          </option>
        ))}
      </select>
      {one('Hole', 'hole', tool === 'hole', shape)}
      {one('Station', 'station', tool === 'station', shape && plan.holes.length > 0)}
      {one('Scatter …', 'scatter', tool === 'scatter', shape && plan.holes.length > 0)}
      {one('Height', 'height', tool === 'height', shape)}
      {one('Group', 'group', tool === 'group', shape)}
    </div>
  );
}
