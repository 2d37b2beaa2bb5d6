import { useLayoutEffect, useState, type RefObject } from 'react';

/** The width of an element, followed as it changes. */
export function useWidth(ref: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(() => document.documentElement.clientWidth);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const measure = () => setWidth(element.clientWidth);
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return width;
}

/** The height of the window, followed as it changes. */
export function usePageHeight(): number {
  const [height, setHeight] = useState(() => window.innerHeight);
  useLayoutEffect(() => {
    const measure = () => setHeight(window.innerHeight);
    window.addEventListener('resize', measure);
    return () => window.removeEventListener('resize', measure);
  }, []);
  return height;
}
