export const STYLE = `
:host { display: inline-block; width: 320px; max-width: 100%; }
:host([hidden]) { display: none; }
svg { display: block; width: 100%; height: 100%; }
p { margin: 0; font: 14px/1.4 system-ui, sans-serif; }
.said { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); }
`;

export const WAITS = 'The page may not make a sound before somebody has clicked in it.';
