/** An invitation on its way to the page where an account is made. */
export interface InvitedTo {
  readonly code: string;
  readonly choir: string;
}

/** Whether what a page was led to with is an invitation. */
export const isInvited = (state: unknown): state is InvitedTo =>
  typeof state === 'object' && state !== null && 'code' in state && 'choir' in state;
