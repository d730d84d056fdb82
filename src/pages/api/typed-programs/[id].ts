import { typedProgramRecord } from '../../../formats/typedProgram';
import { putEndpoint } from '../../../server/endpoint';
import { saveTypedProgram } from '../../../server/stores/typedPrograms';

export const PUT = putEndpoint(typedProgramRecord, saveTypedProgram);
