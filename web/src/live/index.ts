import { LeewardFace } from './LeewardFace';

export { LeewardFace };

if (!customElements.get('leeward-face')) customElements.define('leeward-face', LeewardFace);
