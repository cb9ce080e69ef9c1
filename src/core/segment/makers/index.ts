import { baluster } from './baluster';
import { bollard } from './bollard';
import { bracket } from './bracket';
import { bucket } from './bucket';
import { chainLink } from './chain-link';
import { cleat } from './cleat';
import { clip } from './clip';
import { coil } from './coil';
import { crossSection } from './cross-section';
import { kerbDrain } from './kerb-drain';
import { kerbedLane } from './kerbed-lane';
import { lamp } from './lamp';
import { leaves } from './leaves';
import { moss } from './moss';
import { plank } from './plank';
import { post } from './post';
import { rail } from './rail';
import { rope } from './rope';
import { scannedLog } from './scanned-log';
import { shoot } from './shoot';
import { sign } from './sign';
import { stone } from './stone';
import { trackShoe } from './track-shoe';
import { tread } from './tread';
import { tube } from './tube';
import { tuft } from './tuft';
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
  bracket,
  clip,
  bollard,
  cleat,
  lamp,
  sign,
  leaves,
  tuft,
  stone,
  moss,
};
