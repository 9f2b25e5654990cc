/** Runs once when the program starts. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const [{ keepHouse }, { tameConsole }] = await Promise.all([import('./server/housekeeping'), import('./server/log')]);
  if (process.env.NODE_ENV === 'production') tameConsole();
  keepHouse();
}
