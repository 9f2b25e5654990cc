import { counted } from '@/core/units/format';
import type { AreaKind } from '@/core/green/plan';

/** What a tap on the plan does: choose and move, put something down, or draw an outline corner by corner. */
export type Tool = 'choose' | 'hole' | 'station' | 'group' | 'height' | 'scatter' | { draw: 'green' | AreaKind };

export const isDrawing = (tool: Tool): tool is { draw: 'green' | AreaKind } => typeof tool === 'object';
/** Tools that put something down where the plan is tapped, or draw there. */
export const puts = (tool: Tool) => tool !== 'choose' && tool !== 'scatter';

/** What to do next, in a line under the tools. */
export function sayTool(tool: Tool, corners: number, holes: number): string {
  if (isDrawing(tool)) {
    if (corners === 0) return 'Tap the corners one after another. With keys: arrows move the cross, Enter sets a corner.';
    if (corners < 3) return `${counted(corners, 'corner')} set. Three make a shape.`;
    return `${corners} corners. Tap the first one, or press “Close it”.`;
  }
  switch (tool) {
    case 'choose':
      return 'Drag anything to move it; drag the ground to look round. With keys: Tab, arrows, Delete.';
    case 'hole':
      return 'Tap where the hole is.';
    case 'station':
      return holes === 0 ? 'Put a hole down first: a station plays to one.' : 'Tap where the ball lies; it plays to the nearest hole.';
    case 'group':
      return 'Tap a station for a group that plays there, or any place for one that waits.';
    case 'height':
      return 'Tap where a height was measured. Three or more give the slope.';
    case 'scatter':
      return 'Choose the stations you want; they’re placed round the green.';
  }
}
