/** An expectation of a shipped framework. */
export interface ShippedExpectation {
  readonly code: string;
  readonly grade: string;
  readonly cluster: string;
  readonly paraphrase: string;
}

export interface ShippedFramework {
  readonly id: string;
  readonly title: string;
  readonly creator: string;
  readonly notes: string;
  readonly uri: string;
  readonly expectations: readonly ShippedExpectation[];
}

/** CEDS education levels of the two shipped sets: US grades, and England's years a grade below. */
export function educationLevel(framework: string, grade: string): string {
  if (framework === 'england') return grade === 'R' ? 'PK' : grade === 'Y1' ? 'KG' : String(Number(grade.slice(1)) - 1).padStart(2, '0');
  return grade === 'K' ? 'KG' : grade.padStart(2, '0');
}

/** The three parts of a package; what stands in them is the format's own. */
export interface CasePackage {
  readonly CFDocument: Readonly<Record<string, unknown>>;
  readonly CFItems: readonly Readonly<Record<string, unknown>>[];
  readonly CFAssociations: readonly Readonly<Record<string, unknown>>[];
}

/**
 * A CASE 1.0 package of a shipped framework: one document, a group per cluster, the
 * expectations under it. Identifiers are made from URIs by `uuidOf`, so exporting twice
 * gives the same ones; `precedes` follows the skills (earlier code first).
 */
export function writeCase(
  f: ShippedFramework,
  precedes: readonly (readonly [string, string])[],
  uuidOf: (uri: string) => string,
  now: string,
): CasePackage {
  const documentUri = `${f.uri}/CFDocuments/${f.id}`;
  const itemUri = (name: string): string => `${f.uri}/CFItems/${encodeURIComponent(name)}`;
  const link = (title: string, uri: string): object => ({ title, identifier: uuidOf(uri), uri });
  const clusters = [...new Set(f.expectations.map((e) => e.cluster))];
  const item = (code: string, statement: string, type: string, level: string) => ({
    identifier: uuidOf(itemUri(code)),
    uri: itemUri(code),
    fullStatement: statement,
    humanCodingScheme: code,
    CFItemType: type,
    educationLevel: [level],
    lastChangeDateTime: now,
  });
  let serial = 0;
  const associate = (associationType: string, from: object, to: object, sequenceNumber?: number) => {
    const uri = `${f.uri}/CFAssociations/${f.id}-${++serial}`;
    return {
      identifier: uuidOf(uri),
      uri,
      associationType,
      ...(sequenceNumber ? { sequenceNumber } : {}),
      originNodeURI: from,
      destinationNodeURI: to,
      lastChangeDateTime: now,
    };
  };
  const levelOf = (cluster: string): string => educationLevel(f.id, f.expectations.find((e) => e.cluster === cluster)!.grade);
  return {
    CFDocument: {
      identifier: uuidOf(documentUri),
      uri: documentUri,
      creator: f.creator,
      title: f.title,
      language: 'en',
      adoptionStatus: 'Draft',
      notes: f.notes,
      lastChangeDateTime: now,
    },
    CFItems: [
      ...clusters.map((c) => item(c, `${f.title}: ${c}`, 'Cluster', levelOf(c))),
      ...f.expectations.map((e) => item(e.code, e.paraphrase, 'Standard', educationLevel(f.id, e.grade))),
    ],
    CFAssociations: [
      ...clusters.map((c, i) => associate('isChildOf', link(c, itemUri(c)), link(f.title, documentUri), i + 1)),
      ...f.expectations.map((e, i) => associate('isChildOf', link(e.code, itemUri(e.code)), link(e.cluster, itemUri(e.cluster)), i + 1)),
      ...precedes.map(([a, b]) => associate('precedes', link(a, itemUri(a)), link(b, itemUri(b)))),
    ],
  };
}
