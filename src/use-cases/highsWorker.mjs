// A thread of its own for the solver of whole-number programmes: it counts without a pause, and the server answers others meanwhile.
import { parentPort } from 'node:worker_threads';
import load from 'highs';

const highs = await load();

parentPort.on('message', ({ id, lp, seconds }) => {
  try {
    const { Status, Columns } = highs.solve(lp, { mip_rel_gap: 0, time_limit: seconds });
    const at = Object.fromEntries(Object.entries(Columns).map(([name, c]) => [name, c.Primal]));
    parentPort.postMessage({ id, status: Status, at });
  } catch (fault) {
    parentPort.postMessage({ id, fault: String(fault) });
  }
});
