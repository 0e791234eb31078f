import { mustStayDead, type JobState } from '@/core/logbook';
import { Caution } from '../../kit/caution';

/** Signs after which mains does not come back just to read the display. */
export function MainsStayOff({ state }: { state: JobState }) {
  const signs = mustStayDead(state);
  return signs.length === 0 ? null : (
    <Caution grave title="Do not restore mains to read the display.">
      Because of {signs.join(', ')}. The display and the link need another control supply.
    </Caution>
  );
}
