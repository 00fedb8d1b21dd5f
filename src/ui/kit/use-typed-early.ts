'use client';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';

type Box = HTMLInputElement | HTMLTextAreaElement;
const never = () => () => {};

/**
 * A page can be typed into before its program has come: what stands in the box by then is taken over as if it were typed
 * now, so that nothing typed is lost. For boxes whose value is given from above.
 */
export function useTypedEarly<B extends Box>(
  id: string,
  shown: unknown,
  take: (box: B) => void,
): React.RefObject<B | null> {
  const ref = useRef<B>(null);
  const waking = useSyncExternalStore(
    never,
    () => false,
    () => true,
  );
  // Read before the program lays its own words into the box.
  const [early] = useState(() =>
    waking && typeof document !== 'undefined' ? (document.getElementById(id) as B | null)?.value : undefined,
  );
  useEffect(() => {
    const box = ref.current;
    if (!box || typeof shown !== 'string' || early === undefined || early === shown) return;
    box.value = early;
    take(box);
    // Once, when the page wakes; afterwards the program hears every key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return ref;
}
