import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The current width of an element, px; `first` until it has been laid out. A function is asked once. */
export function useWidth<T extends HTMLElement>(
  first: number | (() => number),
): [RefObject<T | null>, number] {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(first);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const measure = () => {
      setWidth(element.clientWidth);
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  return [ref, width];
}
