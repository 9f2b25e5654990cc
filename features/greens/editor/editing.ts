import type { Point } from '@/core/geometry/point';
import { faultOf } from '@/core/geometry/polygon';
import { addArea, addGroup, addHeight, addHole, addStation, removeItem, type Item } from '@/core/green/edit';
import type { GreenPlan } from '@/core/green/plan';
import { changed, dragged, dropped, historyOf, redone, undone, type History } from './history';
import { isDrawing, puts, type Tool } from './tools';

/** What the editor of a green holds: the plan with its steps, what is chosen, and what a tap does now. */
export type Edit = {
  history: History;
  item: Item | null;
  tool: Tool;
  /** Corners of the outline that is being drawn. */
  corners: Point[];
  /** Why the last tap did nothing. */
  notice: string | null;
};

export type EditStep =
  | { do: 'change'; plan: GreenPlan; tag: string | null }
  | { do: 'drag'; plan: GreenPlan }
  | { do: 'choose'; item: Item | null }
  | { do: 'take'; tool: Tool }
  | { do: 'put'; at: Point }
  | { do: 'remove'; item: Item }
  | { do: 'drop' | 'undo' | 'redo' | 'close' | 'cornerBack' | 'back' | 'escape' };

/** A green that was just opened; one without an outline is drawn first. */
export function editOf(plan: GreenPlan): Edit {
  return {
    history: historyOf(plan),
    item: null,
    tool: plan.outline.length === 0 ? { draw: 'green' } : 'choose',
    corners: [],
    notice: null,
  };
}

/** What a step makes of an edit. */
export function edited(edit: Edit, step: EditStep): Edit {
  const { history, corners } = edit;
  switch (step.do) {
    case 'change':
      return { ...edit, history: changed(history, step.plan, step.tag) };
    case 'drag':
      return { ...edit, history: dragged(history, step.plan) };
    case 'drop':
      return { ...edit, history: dropped(history) };
    case 'undo':
      return { ...edit, history: undone(history) };
    case 'redo':
      return { ...edit, history: redone(history) };
    case 'choose':
      return { ...edit, item: step.item };
    case 'take':
      return { ...edit, tool: step.tool, corners: [], notice: null, item: puts(step.tool) ? null : edit.item };
    case 'put':
      return put({ ...edit, notice: null }, step.at);
    case 'close':
      return closed(edit);
    case 'remove':
      return {
        ...edit,
        history: changed(history, removeItem(history.now, step.item)),
        item: step.item.kind === 'corner' ? { ...step.item, index: 0 } : null,
      };
    case 'cornerBack':
      return { ...edit, corners: corners.slice(0, -1) };
    // With keys: a corner that was just set goes first, then the last step.
    case 'back':
      return edited(edit, { do: corners.length > 0 ? 'cornerBack' : 'undo' });
    case 'escape':
      return edited(edit, puts(edit.tool) ? { do: 'take', tool: 'choose' } : { do: 'choose', item: null });
  }
}

/** A tap on the ground: the next corner of what is drawn, or the thing that the tool puts down. */
function put(edit: Edit, at: Point): Edit {
  const { tool, corners, history } = edit;
  if (isDrawing(tool)) {
    const first = corners[0];
    if (first && corners.length >= 3 && Math.hypot(first[0] - at[0], first[1] - at[1]) < 1e-6) return closed(edit);
    return { ...edit, corners: [...corners, at] };
  }
  const added = addedWith(tool, history.now, at);
  if (!added) return { ...edit, notice: 'Put a hole down first: a station plays to one.' };
  return {
    ...edit,
    history: changed(history, added.plan),
    item: added.item,
    // A height is written down at once; of the others usually several are put down in a row.
    tool: tool === 'height' || tool === 'group' ? 'choose' : tool,
  };
}

function addedWith(tool: Tool, plan: GreenPlan, at: Point): { plan: GreenPlan; item: Item } | null {
  switch (tool) {
    case 'hole':
      return addHole(plan, at);
    case 'station':
      return addStation(plan, at);
    case 'group':
      return addGroup(plan, at);
    case 'height':
      return addHeight(plan, at, 0);
    default:
      return null;
  }
}

/** The outline that was drawn becomes the green, or an area on or beside it; one that crosses itself does not. */
function closed(edit: Edit): Edit {
  const { tool, corners, history } = edit;
  if (!isDrawing(tool)) return edit;
  const fault = faultOf(corners);
  if (fault) return { ...edit, notice: fault };
  const done = { ...edit, tool: 'choose' as const, corners: [], notice: null };
  if (tool.draw === 'green')
    return { ...done, history: changed(history, { ...history.now, outline: corners }), item: { kind: 'corner', key: null, index: 0 } };
  const added = addArea(history.now, tool.draw, corners);
  return { ...done, history: changed(history, added.plan), item: added.item };
}
