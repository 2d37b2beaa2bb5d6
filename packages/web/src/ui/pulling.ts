import { create } from 'zustand';

/** Whether something is pulled by a pointer right now. */
export const usePulling = create(() => ({ isPulled: false }));

export const setPulled = (isPulled: boolean): void => usePulling.setState({ isPulled });
