/** Somebody is unwell or down: everything that runs stops where it is, and the incident sheet opens where it was called. */
const name = 'ready-stool-hold';

export function holdEverything(): void {
  window.dispatchEvent(new CustomEvent(name, { detail: 'here' }));
}

/** The same, called on another tablet of the day: what runs here stops too; the sheet is written there. */
export function heldElsewhere(): void {
  window.dispatchEvent(new CustomEvent(name, { detail: 'elsewhere' }));
}

/** @param where `here` leaves out what was called on another tablet */
export function onHold(stop: () => void, where: 'here' | 'anywhere' = 'anywhere'): () => void {
  const hear = (event: Event) => {
    if (where === 'anywhere' || (event as CustomEvent<string>).detail === 'here') stop();
  };
  window.addEventListener(name, hear);
  return () => {
    window.removeEventListener(name, hear);
  };
}
