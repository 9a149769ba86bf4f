/** A seat so far from that of the norms is told; chairs of a hall are never exact. Common practice, no published source. */
const mostOffCm = 1;

/** Whether a seat is another than the norms of a test assume, cm. */
export const isOffNorm = (seatCm: number, normCm: number): boolean => Math.abs(seatCm - normCm) > mostOffCm;
