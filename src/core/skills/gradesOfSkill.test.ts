import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { gradesOfSkill } from './gradesOfSkill';

const wantedAt = { us: 8, england: 8 };

describe('the grades of a step', () => {
  it('are those of its codes, once each and in order; codes of other lists say nothing', () => {
    expect(gradesOfSkill({ codes: ['3.NBT.A.2', '2.OA.B.2', '2.NBT.A.1', 'Y4-AS-2', '7.EE.A.1'], wantedAt })).toEqual([2, 3]);
    expect(gradesOfSkill({ codes: ['K.OA.A.1'], wantedAt })).toEqual([0]);
  });
  it('follow the age it is wanted by where no code tells: a step wanted at eight is of grade two', () => {
    expect(gradesOfSkill({ codes: [], wantedAt })).toEqual([2]);
    expect(gradesOfSkill({ codes: ['Y4-MD-1'], wantedAt: { us: 8.1, england: 8 } })).toEqual([3]);
    expect(gradesOfSkill({ codes: [], wantedAt: { us: 4.5, england: 4 } })).toEqual([0]);
    expect(gradesOfSkill({ codes: [], wantedAt: { us: 13, england: 12 } })).toEqual([6]);
  });
  it('exist for every step that ships', () => {
    for (const s of shippedGraph().skills) expect([s.id, gradesOfSkill(s).length > 0]).toEqual([s.id, true]);
  });
});
