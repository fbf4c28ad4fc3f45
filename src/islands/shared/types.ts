import type { Accommodation } from '../../core/recommend/accommodations';
import type { ItemPredicate, PrerequisiteSort, SkillNature } from '../../core/skills/skill';
import type { SkillStatus } from '../../core/mastery/estimateMastery';
import type { EstimateStep } from '../../core/mastery/mapState';

/** Wire types of the API that islands read. */
export interface GameWire {
  id: string;
  title: string;
  bin: string | null;
  source: 'made' | 'bought' | 'free';
  condition: string;
  notes: string;
  rules: string[];
  retired: boolean;
  version: number;
  variants: string[];
}
export interface VariantWire {
  id: string;
  game: string;
  title: string;
  mechanism: string | null;
  parameters: Record<string, unknown>;
  ages: [number, number];
  players: { min: number; max: number };
  minutes: number;
  materials: { kind: string; quantity: number }[];
  helper: 'alone' | 'nearby' | 'needed';
  preparationMinutes: number;
  declared: { skill: string; perTenMinutes: number; counted?: number }[];
  retired: boolean;
  version: number;
}
export interface SkillWire {
  id: string;
  title: string;
  short: string;
  looksLike: string;
  strand: string;
  nature: SkillNature;
  wantedAt: { us: number; england: number; [framework: string]: number };
  prerequisites: { id: string; sort: PrerequisiteSort }[];
  codes: string[];
  predicate: ItemPredicate | null;
  supports?: string[];
  slips: string[];
}
export interface StrandWire {
  id: string;
  title: string;
  hue: string;
  line: string;
  ladder: string[];
  skills: string[];
}
export interface KindWire {
  id: string;
  title: string;
  quantity: number;
  plentiful: boolean;
  smallParts: boolean;
  caution: string | null;
}
export interface DoseWire {
  skill: string;
  perTenMinutes: number;
  standardError: number | null;
}
export interface ProfileSummary {
  variant: string;
  game: string;
  source: 'calculated' | 'declared' | 'none' | 'measuring' | 'faulty';
  minutes: number;
  doses: { skill: string; perTenMinutes: number }[];
}
export interface ItemWire {
  op: string;
  a: number;
  b: number;
  result: number;
  unknown: string;
  rep: string;
  count: number;
}
export interface ProfileWire {
  variant: string;
  seats: number;
  games: number;
  source: 'calculated' | 'declared' | 'none';
  doses: DoseWire[];
  minutes: Record<string, number>;
  minuteHistogram?: number[];
  endsInSlot?: number;
  counted?: boolean;
  waitingShare: number | null;
  measures: Record<string, number>;
  measureErrors?: Record<string, number>;
  shares?: Record<string, { mean: number; standardError: number }>;
  turns?: { mean: number; standardError: number };
  outcomes?: { wins: number[]; ties: number; capped: number };
  distinctFacts?: number;
  items: ItemWire[];
}
export interface LearnerWire {
  id: string;
  nickname: string;
  born: string;
  framework: string;
  group: string | null;
  permanentSupports: string[];
  supportsInUse: string[];
  actions: string[];
  goals: string[];
  withoutNorms: boolean;
  accommodations: Accommodation[];
  likings: string[];
  version: number;
}
export interface EstimateWire {
  skill: string;
  mastery: number;
  asSeen: number;
  retention: number;
  interval: [number, number];
  seen: boolean;
  notes: number;
  sure: boolean;
  status: SkillStatus;
  lastSeen: string | null;
  wantedNow: boolean;
  gap: boolean;
  frontier: boolean;
  dueForReview: boolean;
  steps: EstimateStep[];
}
export interface EvidenceWire {
  id: string;
  learner: string;
  at: string;
  kind: string;
  skill: string;
  result: 'stuck' | 'support' | 'alone' | null;
  correct: number | null;
  total: number | null;
  how: string | null;
  support: string | null;
  variant: string | null;
  session: string | null;
  items: { op: string; a: number; b: number; correct: boolean }[];
  by: { role: string; ownChild: boolean };
  retracted: boolean;
  retractedBecause: string | null;
}
export interface SeatWire {
  learner: string;
  variant: string;
  variantTitle: string;
  doses: { skill: string; items: number; source: string }[];
  why: string;
}
export interface TableWire {
  game: string;
  title: string;
  helper: boolean;
  materials: { kind: string; title: string; quantity: number }[];
  seats: SeatWire[];
}
export interface RoundWire {
  tables: TableWire[];
  resting: string[];
}
export interface LockWire {
  learner: string;
  round: number;
  game: string;
}
export interface PlanWire {
  id: string;
  date: string;
  status: 'optimal' | 'good' | 'stopped-early' | 'infeasible';
  objective: number;
  bound: number;
  gap: number;
  relax?: string[];
  rounds: RoundWire[];
  locks: LockWire[];
  request: {
    present: string[];
    rounds: number;
    minutes: number;
    tables: number;
    helpers: number;
    seed: number;
    preparationMinutes: number | null;
  };
  edited: boolean;
  forecast: boolean;
  playedAt: string | null;
  version: number;
}
export interface MeetingWire {
  id: string;
  date: string;
  startsAt: string;
  rounds: number;
  minutes: number;
  tables: number;
  helpers: number;
  off: boolean;
  offBecause: string | null;
  state: 'played' | 'missed' | 'ahead' | 'off';
  plan: {
    id: string;
    status: string;
    objective: number;
    bound: number;
    forecast: boolean;
    edited: boolean;
    playedAt: string | null;
    games: string[];
  } | null;
}
export interface TermWire {
  term: { id: string; title: string; starts: string; ends: string } | null;
  meetings: MeetingWire[];
  today: string;
}
export interface SkillsWire {
  items: SkillWire[];
  total: number;
  strands: StrandWire[];
}
