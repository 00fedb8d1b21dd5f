let pressed = false;
if (typeof window !== 'undefined') {
  window.addEventListener('pointerdown', () => (pressed = true), true);
  for (const end of ['pointerup', 'pointercancel'])
    window.addEventListener(end, () => (pressed = false), true);
}

/**
 * Does something at once, or when the press that is under way has landed: a word that appears between a press and its
 * release would move the button away from under the finger.
 */
export function afterPress(act: () => void): void {
  if (!pressed) return act();
  const landed = () => setTimeout(act, 0);
  window.addEventListener('pointerup', landed, { once: true });
}
