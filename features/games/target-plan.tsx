'use client';

import { createElement } from 'react';
import { drawingOf } from './scoring';
import type { DrawingProps } from './scoring/zones-plan';

/** Scoring, to scale, while it is being designed; edges can be dragged, and are read out in the game's unit. */
export function TargetPlan(props: DrawingProps) {
  const { scoring } = props.spec;
  return createElement(drawingOf(scoring.scheme), { ...props, scoring });
}
