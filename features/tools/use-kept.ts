'use client';

import { useSyncExternalStore } from 'react';

/** What a device keeps for its own tools: small, and no record of anybody. Another page of it follows. */
const listeners = new Set<() => void>();
const PREFIX = 'inch-tools-';

/** A value kept on this device, under a name; where nothing can be kept it lasts as long as the page. */
export function useKept<T>(name: string, usual: T): [T, (value: T) => void] {
  const text = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      window.addEventListener('storage', listener);
      return () => {
        listeners.delete(listener);
        window.removeEventListener('storage', listener);
      };
    },
    () => read(name),
    () => null,
  );
  const keep = (value: T) => {
    const said = JSON.stringify(value);
    held.set(name, said);
    try {
      window.localStorage.setItem(PREFIX + name, said);
    } catch {
      // A private window keeps nothing: it is held while the page is open.
    }
    for (const listener of listeners) listener();
  };
  return [text === null ? usual : parsed(text, usual), keep];
}

const held = new Map<string, string>();

function read(name: string): string | null {
  try {
    return window.localStorage.getItem(PREFIX + name) ?? held.get(name) ?? null;
  } catch {
    return held.get(name) ?? null;
  }
}

function parsed<T>(text: string, usual: T): T {
  try {
    const value = JSON.parse(text) as T;
    return typeof value === typeof usual && value !== null ? value : usual;
  } catch {
    return usual;
  }
}
