/** Whether a key is meant for a field or a dialog, and not for the stage. */
export const typing = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement && e.target.closest('input, textarea, select, [role="dialog"]') !== null;
