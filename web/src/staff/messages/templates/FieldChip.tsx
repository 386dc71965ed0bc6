import { NodeViewWrapper, type NodeViewProps } from '@tiptap/react';
import { use } from 'react';
import { Fields, labelOf } from './fields';

/** A field as it stands in a text: its label, what stands for it where it is empty, and whether nothing fills it. */
export function FieldChip({ node, selected }: NodeViewProps) {
  const { fields, gaps } = use(Fields);
  const { field, or } = node.attrs as { field: string; or: string | null };
  const unknown = !fields.some((one) => one.name === field);
  const lacks = unknown || gaps.includes(field);
  return (
    <NodeViewWrapper
      as="span"
      className={`field-chip${lacks ? ' lacks' : ''}${selected ? ' chosen' : ''}`}
      title={unknown ? 'This field is not there any more' : lacks ? 'Nothing fills it in this example' : undefined}
    >
      {labelOf(fields, field)}
      {or !== null && (or === '' ? ', or nothing' : `, or “${or}”`)}
    </NodeViewWrapper>
  );
}
