import Bowser from 'bowser';

/** What a browser says of itself, in words: "Firefox on Android"; "A device" where that is nothing we know. */
export function sayDevice(userAgent: string): string {
  if (userAgent === '') return 'A device';
  const { browser, os } = Bowser.parse(userAgent);
  if (!browser.name) return 'A device';
  return os.name ? `${browser.name} on ${os.name}` : browser.name;
}
