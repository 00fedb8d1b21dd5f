'use client';
import { useEffect, useRef } from 'react';

type Box = HTMLInputElement | HTMLTextAreaElement;

/**
 * A page can be typed into before its program has come: what stands in the box by then is taken over as if it were typed
 * now, so that nothing typed is lost. For boxes whose value is given from above.
 */
export function useTypedEarly<B extends Box>(
  shown: unknown,
  take: (box: B) => void,
): React.RefObject<B | null> {
  const ref = useRef<B>(null);
  useEffect(() => {
    const box = ref.current;
    if (!box || typeof shown !== 'string') return;
    if (box.value !== shown) take(box);
    // Once, when the page wakes; afterwards the program hears every key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return ref;
}
