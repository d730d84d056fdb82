import type { CourseRecord } from '../../../formats/records';
import { fieldsOf } from '../../../ui/fields/recordForm';

/** The fields of a table's record. */
export const F = fieldsOf<CourseRecord>();
