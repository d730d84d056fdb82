import { courseRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveCourse } from '../../../server/stores/courses';

export const PUT = putEndpoint(courseRecord, saveCourse);
