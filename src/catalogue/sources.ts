import type { Source } from '../core/shapes/norms';

/** Every source the catalogue cites, once. All from memory: no paper was open when the figures were written down. */
const paper = (cite: string, confidence: Source['confidence'] = 'high') =>
  ({ cite, confidence, fromMemory: true }) as const;

export const sources = {
  middleHalf: paper('Rikli & Jones 1999, J Aging Phys Act 7:162-181'),
  middleHalfMedium: paper('Rikli & Jones 1999, J Aging Phys Act 7:162-181', 'medium'),
  reliability: paper('Rikli & Jones 1999, J Aging Phys Act 7:129-161, n = 82'),
  standards: paper('Rikli & Jones 2013, Gerontologist 53:255-267'),
  riskZones: paper('Rikli & Jones 2001/2013'),
  riskZonesMedium: paper('Rikli & Jones 2001/2013', 'medium'),
  roseUpAndGo: paper('Rose, Jones & Lucchese 2002, J Aging Phys Act 10:466-475'),
  belowAverage: paper('CDC 30-second chair stand sheet, 2017'),
  fiveStands: paper('Guralnik et al. 1994, J Gerontol 49:M85-94'),
  fiveStandsLimits: paper('Bohannon 2006, Percept Mot Skills 103:215-222'),
  tiedemann: paper('Tiedemann et al. 2008, Age Ageing 37:430-435'),
  ewgsop2: paper('EWGSOP2, Cruz-Jentoft et al. 2019, Age Ageing 48:16-31'),
  ewgsop2Buatois: paper('EWGSOP2 2019; Buatois et al. 2008'),
  goldberg2012: paper('Goldberg et al. 2012, Aging Clin Exp Res 24:339-344'),
  goldberg2011: paper('Goldberg, Casby & Wasielewski 2011, Gait Posture 33:737-739', 'medium'),
  goldbergSchepens: paper('Goldberg & Schepens 2011, Aging Clin Exp Res 23:406-412', 'medium'),
  perera: paper('Perera et al. 2006, J Am Geriatr Soc 54:743-749'),
  kennedy: paper('Kennedy et al. 2005, BMC Musculoskelet Disord 6:3'),
  wright: paper('Wright et al. 2011, J Orthop Sports Phys Ther 41:319-327'),
  gillMcBurney: paper('Gill & McBurney 2008', 'medium'),
  steffenSeney: paper('Steffen & Seney 2008, Phys Ther 88:733-746'),
  vellas: paper('Vellas et al. 1997, J Am Geriatr Soc 45:735-738'),
  reachFalls: paper('Duncan et al. 1992, J Gerontol 47:M93-98'),
  upAndGoSheet: paper('CDC Timed Up & Go sheet, 2017'),
  upAndGo3m: paper('Bohannon 2006, J Geriatr Phys Ther 29:64-68'),
  gait4m: paper('Bohannon & Andrews 2011, Physiotherapy 97:182-189'),
  fourStage: paper('CDC 4-Stage Balance sheet, 2017'),
  oneLeg: paper('Springer et al. 2007, J Geriatr Phys Ther 30:8-15'),
  reachForward: paper('Duncan et al. 1990, J Gerontol 45:M192-197', 'medium'),
  footFeel: paper('Rayman et al. 2011, Diabetes Care 34:1517-1518', 'medium'),
  standUpPressure: paper('Shaw et al. 2017, Blood Press Monit 22:82-87', 'medium'),
  kneeToWall: paper('Bennell et al. 1998, Aust J Physiother 44:175-180', 'medium'),
  risePower: paper('Alcazar et al. 2018, Exp Gerontol 112:38-43; limits Alcazar et al. 2021'),
  screening: paper('Riebe et al. 2015, Med Sci Sports Exerc 47:2473-2479'),
  practice: { cite: 'common practice, no published source', confidence: 'house rule', fromMemory: false },
} as const satisfies Record<string, Source>;
