import { array, string, type InferType } from 'yup';
import { deviceEventKinds, deviceIds } from '../core/shapes/device';
import { exactly, numberIn, oneOf, wholeIn } from './building';

/** What a device calls itself since it was switched on. */
export const boot = () => string().typeError('must be text').min(1, 'is empty').max(40, 'must have at most 40 letters');

const ms = () => numberIn(0, 1e12, 'ms').required('is needed');

/** What a device sends at once. */
export const deviceBatch = exactly({
  boot: boot().required('is needed'),
  sentMs: ms(),
  events: array()
    .of(
      exactly({
        n: wholeIn(0, 1e9).required('is needed'),
        ms: ms(),
        kind: oneOf(deviceEventKinds).required('is needed'),
      }).required('is needed'),
    )
    .typeError('must be a list')
    .max(200, 'must hold at most 200 events')
    .required('is needed'),
});

export type DeviceBatchBody = InferType<typeof deviceBatch>;

/** Which device, as it stands in the path. */
export const pathDevice = exactly({
  id: oneOf(deviceIds).required('is needed'),
});
