import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { addEdge, addSkill } from '../skills/ownSkillStore';
import { sumsToNine } from '../skills/ownSkill.testing';
import { Workspace } from '../workspace.testing';
import { graphOf, renewGraph } from './graphOf';
import { ownEdges, ownSkills } from './schema';

const createdAt = '2026-11-25T10:00:00.000Z';
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

describe('what an owner added before the shipped skills changed', () => {
  it('is left out where it no longer holds together, and only that', () => {
    const sums = addSkill(place.db, sumsToNine, createdAt).id;
    addEdge(place.db, sums, 'pairs-of-10', 'heart', createdAt);
    const stored = place.db.select().from(ownSkills).where(eq(ownSkills.id, sums)).get()!;
    const lost = { ...stored.skill, id: 'lost', prerequisites: [{ id: 'a-step-that-went-with-an-update', sort: 'idea' as const }] };
    place.db.insert(ownSkills).values({ id: 'lost', skill: lost, createdAt }).run();
    // Together with the shipped way round this would be a ring.
    place.db.insert(ownEdges).values({ skill: 'add-in-5', needs: 'add-in-20', sort: 'heart', createdAt }).run();
    renewGraph(place.db);
    const graph = graphOf(place.db);
    const needsOf = (id: string): string[] => graph.skills[graph.indexOf.get(id)!]!.prerequisites.map((p) => p.id);
    expect(graph.skills.length).toBe(shippedGraph().skills.length + 1);
    expect(needsOf(sums)).toEqual(['add-in-5', 'pairs-of-10']);
    expect(graph.indexOf.has('lost')).toBe(false);
    expect(needsOf('add-in-5')).not.toContain('add-in-20');
  });
});
