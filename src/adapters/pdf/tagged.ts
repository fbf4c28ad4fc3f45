import {
  type PDFDocument,
  PDFDict,
  PDFHexString,
  PDFName,
  PDFNumber,
  PDFOperator,
  PDFOperatorNames,
  type PDFPage,
  type PDFRef,
  type PDFContext,
} from 'pdf-lib';

/** What a part of a page is to somebody who has it read aloud. */
export type Tag = 'H1' | 'P';

/**
 * Tells in a PDF what is text and in which order it is read, and that lines and areas are decoration (tagged PDF, ISO 32000-1,
 * 14.7 and 14.8): a document, in it a section a page, in it a paragraph a line of text.
 */
export class Tagged {
  private readonly context: PDFContext;
  private readonly document: PDFRef;
  private readonly root: PDFRef;
  private readonly sections: PDFRef[] = [];
  /** Elements by page, by the number that stands in the page's content. */
  private readonly parents: PDFRef[][] = [];
  private page: { sheet: PDFPage; section: PDFRef; elements: PDFRef[] } | null = null;
  private decorating = false;

  constructor(pdf: PDFDocument) {
    this.context = pdf.context;
    this.root = this.context.nextRef();
    this.document = this.context.nextRef();
    pdf.catalog.set(PDFName.of('MarkInfo'), this.context.obj({ Marked: true }));
    pdf.catalog.set(PDFName.of('StructTreeRoot'), this.root);
    pdf.catalog.set(PDFName.of('ViewerPreferences'), this.context.obj({ DisplayDocTitle: true }));
  }

  /** From here on everything stands on this page. */
  begin(sheet: PDFPage): void {
    this.endDecoration();
    const section = this.context.nextRef();
    const elements: PDFRef[] = [];
    sheet.node.set(PDFName.of('StructParents'), PDFNumber.of(this.parents.length));
    sheet.node.set(PDFName.of('Tabs'), PDFName.of('S'));
    this.sections.push(section);
    this.parents.push(elements);
    this.page = { sheet, section, elements };
  }

  /** Draws something that is read. */
  read(tag: Tag, words: string, draw: () => void): void {
    this.endDecoration();
    const { sheet, section, elements } = this.page!;
    const id = elements.length;
    const mark = PDFDict.withContext(this.context);
    mark.set(PDFName.of('MCID'), PDFNumber.of(id));
    sheet.pushOperators(PDFOperator.of(PDFOperatorNames.BeginMarkedContentSequence, [PDFName.of(tag), mark as never]));
    draw();
    sheet.pushOperators(PDFOperator.of(PDFOperatorNames.EndMarkedContent));
    const element = this.context.nextRef();
    this.context.assign(
      element,
      this.context.obj({ Type: 'StructElem', S: tag, P: section, Pg: sheet.ref, K: id, ActualText: PDFHexString.fromText(words) }),
    );
    elements.push(element);
  }

  /** Draws something that nobody reads; what follows one another is one decoration. */
  decorate(draw: () => void): void {
    if (!this.decorating) this.page!.sheet.pushOperators(PDFOperator.of(PDFOperatorNames.BeginMarkedContent, [PDFName.of('Artifact')]));
    this.decorating = true;
    draw();
  }

  /** Writes the tree; nothing is drawn after it. */
  end(): void {
    this.endDecoration();
    const numbers = this.parents.flatMap((elements, i) => [PDFNumber.of(i), this.context.obj(elements)]);
    this.sections.forEach((section, i) =>
      this.context.assign(section, this.context.obj({ Type: 'StructElem', S: 'Sect', P: this.document, K: this.parents[i]! })),
    );
    this.context.assign(
      this.document,
      this.context.obj({ Type: 'StructElem', S: 'Document', P: this.root, K: this.sections, Lang: PDFHexString.fromText('en') }),
    );
    this.context.assign(
      this.root,
      this.context.obj({
        Type: 'StructTreeRoot',
        K: this.document,
        ParentTree: this.context.obj({ Nums: numbers }),
        ParentTreeNextKey: this.parents.length,
      }),
    );
  }

  private endDecoration(): void {
    if (this.decorating) this.page!.sheet.pushOperators(PDFOperator.of(PDFOperatorNames.EndMarkedContent));
    this.decorating = false;
  }
}
