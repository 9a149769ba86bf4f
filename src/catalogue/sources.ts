import type { Source } from '../core/shapes/norms';

/** Every source the catalogue cites, once. All from memory: no paper was open when the figures were written down. */
const paper = (cite: string, confidence: Source['confidence'] = 'high') =>
  ({ cite, confidence, fromMemory: true }) as const;

export const sources = {
  middleHalf: paper('Rikli & Jones 1999, J Aging Phys Act 7:162-181'),
  reliability: paper('Rikli & Jones 1999, J Aging Phys Act 7:129-161, n = 82'),
  standards: paper('Rikli & Jones 2013, Gerontologist 53:255-267'),
  riskZones: paper('Rikli & Jones 2001/2013'),
  belowAverage: paper('CDC 30-second chair stand sheet, 2017'),
  fiveStands: paper('Guralnik et al. 1994, J Gerontol 49:M85-94'),
  upAndGo3m: paper('Bohannon 2006, J Geriatr Phys Ther 29:64-68'),
  gait4m: paper('Bohannon & Andrews 2011, Physiotherapy 97:182-189'),
  fourStage: paper('CDC 4-Stage Balance sheet, 2017'),
  oneLeg: paper('Springer et al. 2007, J Geriatr Phys Ther 30:8-15'),
  reachForward: paper('Duncan et al. 1990, J Gerontol 45:M192-197', 'medium'),
  kneeToWall: paper('Bennell et al. 1998, Aust J Physiother 44:175-180', 'medium'),
  risePower: paper('Alcazar et al. 2018, Exp Gerontol 112:38-43; limits Alcazar et al. 2021'),
  screening: paper('Riebe et al. 2015, Med Sci Sports Exerc 47:2473-2479'),
  practice: { cite: 'common practice, no published source', confidence: 'house rule', fromMemory: false },
} as const satisfies Record<string, Source>;
