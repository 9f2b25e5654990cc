/**
 * The same as plain data in which no object stands twice: to an action, what stands twice would be sent once and then referred to, and the door
 * takes no references (server/front).
 */
export function plain<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T;
}
