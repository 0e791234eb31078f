/**
 * The structure of a document, for those who hear it or read it by software (PDF/UA-1, ISO 14289-1).
 *
 * The renderer knows boxes, not meaning. So components say what a box is in a property (`tagged`), which the layout carries
 * along; while the renderer walks the boxes, marks are put around each text and figure. Whatever has no tag is decoration
 * (an artifact).
 */
export type Role =
  'H1' | 'H2' | 'H3' | 'P' | 'Table' | 'TR' | 'TH' | 'TD' | 'L' | 'LI' | 'LBody' | 'Figure' | 'Artifact';

export interface Tag {
  role: Role;
  /** What a figure shows, in words. */
  alt?: string;
  /** Which cells a head is of. */
  scope?: 'Column' | 'Row';
}

/**
 * Says what a box is: `<View {...tagged('Table')}>`. A box that the end of a page cuts stays one element, because both
 * parts carry the same tag object.
 */
export const tagged = (role: Role, more: Omit<Tag, 'role'> = {}): { tag: Tag } => ({
  tag: { role, ...more },
});

/** A box of the layout, as far as it matters here. */
export interface LaidOut {
  type: string;
  props?: object;
  style?: object;
  box?: { top?: number; left?: number; width?: number; height?: number };
  children?: LaidOut[];
}

type Element = PDFKit.PDFStructureElement;
type Corner = readonly [left: number, top: number];

const leafRoles: readonly Role[] = ['Figure'];

const tagOf = (node: LaidOut): Tag | undefined => (node.props as { tag?: Tag } | undefined)?.tag;

/** A step of the drawing: a box, or something to do before the next one. */
type Step = LaidOut | (() => void);

/**
 * Boxes as the renderer walks them, with things to do in between. It walks them twice, for the drawing and for bookmarks:
 * only the drawing does them. (A canvas calls back, too, but the renderer makes it a painter of sixty methods each time:
 * a report of 300 wires took 8 s instead of 3.)
 */
function walked(steps: readonly Step[]): LaidOut[] {
  const boxes = steps.filter((step) => typeof step !== 'function');
  let left: readonly Step[] = steps;
  const forEach: LaidOut[]['forEach'] = (visit) => {
    const now = left;
    left = boxes;
    for (const step of now) {
      if (typeof step === 'function') step();
      else visit(step, 0, boxes);
    }
  };
  return Object.assign(boxes, { forEach });
}

/**
 * Puts the structure of a laid-out document into its PDF while it is rendered.
 * @param pages of the layout
 * @param pdf what they will be rendered into; it has no page yet
 * @returns the pages, to be rendered
 */
export function withStructure(pages: readonly LaidOut[], pdf: PDFKit.PDFDocument): LaidOut[] {
  const root = pdf.struct('Document');
  pdf.addStructure(root);
  const elements = new Map<object, Element>();

  /** The element of a tag, made when the first of it is drawn: so all stand in the order of reading. */
  function elementOf(path: readonly Tag[], box: readonly number[]): Element {
    return path.reduce((parent: Element, tag) => {
      const known = elements.get(tag);
      if (known !== undefined) return known;
      const { role, alt, scope } = tag;
      const options = { alt, scope, ...(role === 'Figure' ? { bbox: box } : {}) };
      const made = pdf.struct(role, options);
      parent.add(made);
      elements.set(tag, made);
      return made;
    }, root);
  }

  const opened = (path: readonly Tag[], box: readonly number[]) => () => {
    pdf.endMarkedContent();
    const element = elementOf(path, box);
    element.add(pdf.markStructureContent(path[path.length - 1]?.role ?? 'P'));
  };
  const closed = () => {
    pdf.endMarkedContent();
    pdf.markContent('Artifact');
  };

  function marked(node: LaidOut, path: readonly Tag[], [left, top]: Corner): Step[] {
    const tag = tagOf(node);
    if (tag?.role === 'Artifact') return [node];
    const inside = tag === undefined ? path : [...path, tag];
    const { box = {}, children } = node;
    const corner: Corner = [left + (box.left ?? 0), top + (box.top ?? 0)];
    if (node.type === 'TEXT' || (tag !== undefined && leafRoles.includes(tag.role))) {
      const bounds = [...corner, corner[0] + (box.width ?? 0), corner[1] + (box.height ?? 0)];
      return [opened(inside, bounds), node, closed];
    }
    if (children === undefined) return [node];
    return [{ ...node, children: walked(children.flatMap((child) => marked(child, inside, corner))) }];
  }

  return pages.map((page) => ({
    ...page,
    children: walked([
      () => pdf.markContent('Artifact'),
      ...(page.children ?? []).flatMap((child) => marked(child, [], [0, 0])),
      () => pdf.endMarkedContent(),
    ]),
  }));
}
