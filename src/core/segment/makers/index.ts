import { baluster } from './baluster';
import { bucket } from './bucket';
import { chainLink } from './chain-link';
import { coil } from './coil';
import { crossSection } from './cross-section';
import { kerbDrain } from './kerb-drain';
import { kerbedLane } from './kerbed-lane';
import { plank } from './plank';
import { post } from './post';
import { rail } from './rail';
import { rope } from './rope';
import { scannedLog } from './scanned-log';
import { shoot } from './shoot';
import { trackShoe } from './track-shoe';
import { tread } from './tread';
import { tube } from './tube';
import { turned } from './turned';
import { turnedProfile } from './turned-profile';
import { twistedBundle } from './twisted-bundle';

/** In the order in which people are shown them. */
export const makers = {
  kerbedLane,
  kerbDrain,
  crossSection,
  rope,
  twistedBundle,
  tube,
  turned,
  turnedProfile,
  coil,
  chainLink,
  trackShoe,
  bucket,
  tread,
  baluster,
  rail,
  post,
  plank,
  shoot,
  scannedLog,
};
