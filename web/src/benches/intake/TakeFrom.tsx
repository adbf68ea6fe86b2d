import { Users } from 'lucide-react';
import { useState } from 'react';
import type { TransferItem } from '../../api/client';
import { TakeOver } from './TakeOver';

/** Where a bench has nothing yet: what another character has of it, offered in place. */
export function TakeFrom({ what, kinds }: { what: string; kinds: TransferItem['kind'][] }) {
  const [taking, setTaking] = useState(false);
  return taking ? (
    <TakeOver close={() => setTaking(false)} first={kinds} />
  ) : (
    <button className="btn mt-2" onClick={() => setTaking(true)}>
      <Users size={14} aria-hidden /> Take {what} from another character …
    </button>
  );
}
