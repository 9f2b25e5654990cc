/** Runs once when the program starts. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { keepHouse } = await import('./server/housekeeping');
  keepHouse();
}
