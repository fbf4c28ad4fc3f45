import { describe, expect, it } from 'vitest';
import type { RawTable } from './rawTable';
import { isUsers, rosterOf } from './oneRoster';
import { guessColumns } from './guessColumns';
import { readColumns } from './readColumns';
import { readRoster, rosterSpecs } from './readRoster';

const table = (name: string, text: string): [string, RawTable] => [
  name,
  { name, remarks: [], rows: text.split('\n').map((l, i) => ({ row: i + 1, cells: l.split('|') })) },
];
const users = `sourcedId|status|dateLastModified|enabledUser|orgSourcedIds|role|username|userIds|givenName|familyName|middleName|identifier|email|sms|phone|agentSourcedIds|grades|password
u1|||true|o1|student|owl7||Ines|Alder|||||||01|secret
u2|||true|o1|guardian|a||Ray|Alder||||||||
u3|||TRUE|o1|Student|x||Ines|Birch|||||||KG,02|
u4|||false|o1|student|y||Gone|Child|||||||03|
u5|tobedeleted||true|o1|student|z||Old|Child|||||||03|`;

describe('a roster of the OneRoster binding', () => {
  it('gives children by first name, grade and class, and nothing else', () => {
    const roster = rosterOf(
      new Map([
        table('users.csv', users),
        table('classes.csv', 'sourcedId|status|title\nk1||Tuesday circle'),
        table('enrollments.csv', 'sourcedId|status|classSourcedId|userSourcedId|role\ne1||k1|u1|student\ne2||k1|u2|teacher'),
      ]),
    );
    expect(roster.rows).toEqual([
      { row: 1, cells: ['nickname', 'grade', 'group'] },
      { row: 2, cells: ['Ines A', '1', 'Tuesday circle'] },
      { row: 4, cells: ['Ines B', '2', ''] },
    ]);
    expect(JSON.stringify(roster)).not.toMatch(/secret|owl7/);
    expect(roster.remarks[1]!.message).toContain('3 rows of grown-ups');
    const read = readColumns(roster, guessColumns(roster, rosterSpecs, ['nickname']));
    const { drafts, problems } = readRoster(read.rows, '2026-11-10', []);
    expect(problems).toEqual([]);
    expect(drafts.map((d) => [d.nickname, d.born, d.group])).toEqual([
      ['Ines A', '2020-03', 'Tuesday circle'],
      ['Ines B', '2019-03', ''],
    ]);
  });
  it('finds children by their roles in version 1.2, and takes the name they prefer', () => {
    const roster = rosterOf(
      new Map([
        table(
          'users.csv',
          'sourcedId|status|enabledUser|givenName|preferredGivenName|familyName|grades\nu1||true|Margarethe|Gret|Reed|04\nu2||true|Mo|||',
        ),
        table('roles.csv', 'sourcedId|status|userSourcedId|roleType|role\nr1||u1|primary|student\nr2||u2|primary|teacher'),
      ]),
    );
    expect(roster.rows.slice(1).map((r) => r.cells)).toEqual([['Gret', '4', '']]);
  });
  it('is known by its columns', () => {
    expect(isUsers(table('a', users)[1])).toBe(true);
    expect(isUsers(table('a', 'name|grade\nA|1')[1])).toBe(false);
  });
});
