import { cookies } from 'next/headers';
import type { Coaching } from '../core/shapes/style';
import { coachingCookie, deviceCoaching } from '../schemas/coaching';

/** How the instructor of this device coaches, until there is sign-in. */
export const theDeviceCoaching = async (): Promise<Coaching> =>
  deviceCoaching((await cookies()).get(coachingCookie)?.value);
