/** Goes to another page with a full load: nothing that the old one held in memory goes along. */
export function goTo(address: string): void {
  window.location.href = address;
}
