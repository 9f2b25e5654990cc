import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { GreenPlan } from '@/core/green/plan';
import { fitted, resized, type PlanView } from '../plan-view';

/** The view of a plan in its place: it fills it, grows and shrinks with it, and shows all at first. */
export function useView(place: React.RefObject<HTMLDivElement | null>, plan: GreenPlan): [PlanView, (view: PlanView) => void] {
  const [view, setView] = useState<PlanView>(() => fitted(plan, 640, 480));
  const first = useRef(plan);
  useLayoutEffect(() => {
    const box = place.current?.getBoundingClientRect();
    if (box && box.width > 0) setView(fitted(first.current, box.width, box.height));
  }, [place]);
  useEffect(() => {
    const element = place.current;
    if (!element || typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      if (width > 0 && height > 0) setView((now) => resized(now, width, height));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [place]);
  return [view, setView];
}
