/** Somebody is unwell or down: everything that runs stops where it is, and the incident sheet opens. */
const name = 'ready-stool-hold';

export function holdEverything(): void {
  window.dispatchEvent(new Event(name));
}

export function onHold(stop: () => void): () => void {
  window.addEventListener(name, stop);
  return () => {
    window.removeEventListener(name, stop);
  };
}
