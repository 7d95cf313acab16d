import { extendZodWithOpenApi, OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi';
import { endpoints, errorAnswer } from '@field-nurse/contract';
import type { Endpoint } from '@field-nurse/contract';
import { z } from 'zod';

extendZodWithOpenApi(z);

const problems: Readonly<Record<number, string>> = {
  400: 'Input is not right; each issue names its field',
  401: 'Not signed in, or a token that is not known',
  403: 'Not allowed to who asks, or a page that is out of date',
  404: 'Not here',
  409: 'Somebody was faster, or it is used elsewhere',
  413: 'Too large',
  415: 'Not the kind of file or body that is taken',
  422: 'Refused by a rule, which is named',
  429: 'Too often; Retry-After says when',
  503: 'The database, or a service outside, does not answer',
};

/** The OpenAPI 3.1 document of the contract. */
export function openApiDocument(version: string): object {
  const registry = new OpenAPIRegistry();
  const session = registry.registerComponent('securitySchemes', 'session', { type: 'apiKey', in: 'cookie', name: 'field-nurse' });
  const token = registry.registerComponent('securitySchemes', 'token', { type: 'http', scheme: 'bearer' });
  for (const [name, endpoint] of Object.entries(endpoints) as [string, Endpoint][]) {
    const { method, path, summary, access, params, query, body, upload, answerType, answerStatus = 200, answer } = endpoint;
    const file = { type: 'string', format: 'binary' } as const;
    registry.registerPath({
      operationId: name,
      method,
      path,
      summary,
      tags: [path.split('/')[3] ?? 'health'],
      ...(access !== 'open' && { security: [{ [session.name]: [] }, ...(access.startsWith('garden') ? [{ [token.name]: [] }] : [])] }),
      request: {
        ...(params && { params }),
        ...(query && { query }),
        ...(body && { body: { content: { 'application/json': { schema: body } } } }),
        ...(upload && { body: { content: Object.fromEntries(upload.types.map((type) => [type, { schema: file }])) } }),
      },
      responses: {
        [answerStatus]: {
          description: 'Answer',
          content: answerType ? { [answerType]: { schema: file } } : { 'application/json': { schema: answer } },
        },
        ...Object.fromEntries(
          Object.entries(problems).map(([status, description]) => [
            status,
            { description, content: { 'application/json': { schema: errorAnswer } } },
          ]),
        ),
      },
    });
  }
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: {
      title: 'Field Nurse',
      version,
      description: 'Advice only: a product label, local rules and licensed people outrank every figure here.',
    },
  });
}
