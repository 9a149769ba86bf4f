/** Four bays and the short ones at their side, as the row of bays and the lines under it stand. */
export const columns = 'lg:grid-cols-[repeat(4,minmax(0,1fr))_208px]';
