import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The width of an element, followed as it changes, also where it is there only after a while. */
export function useWidth(ref: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(() => document.documentElement.clientWidth);
  const followed = useRef<{ readonly element: HTMLElement; readonly stop: () => void }>(undefined);
  // After every render: what was still being fetched at the first one has its place now.
  useLayoutEffect(() => {
    const element = ref.current;
    if (element === (followed.current?.element ?? null)) return;
    followed.current?.stop();
    followed.current = undefined;
    if (!element) return;
    const measure = () => setWidth(element.clientWidth);
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    followed.current = { element, stop: () => observer.disconnect() };
  });
  useLayoutEffect(
    () => () => {
      followed.current?.stop();
      followed.current = undefined;
    },
    [],
  );
  return width;
}

const thumbs = '(pointer: coarse)';
/** What a thumb meets is so high, in px. */
const thumb = 44;

/** Whether what is pressed is pressed by a thumb. */
export function useThumb(): boolean {
  const [byThumb, setByThumb] = useState(() => window.matchMedia(thumbs).matches);
  useLayoutEffect(() => {
    const asked = window.matchMedia(thumbs);
    const look = () => setByThumb(asked.matches);
    asked.addEventListener('change', look);
    return () => asked.removeEventListener('change', look);
  }, []);
  return byThumb;
}

/** How high a row is that is pressed: by a thumb at least as high as a thumb needs. */
export const useRowHeight = (usual: number): number =>
  useThumb() ? Math.max(usual, thumb) : usual;

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
