import * as z from 'zod';
import { ROUTES, type Route } from './routes/index';

type Json = Readonly<Record<string, unknown>>;

const problemSchema: Json = {
  type: 'object',
  required: ['type', 'title', 'status', 'detail', 'code', 'path', 'expected', 'got'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string' },
    code: { type: 'string' },
    path: { type: 'string' },
    expected: { type: 'string' },
    got: { type: 'string' },
  },
};

/** The OpenAPI 3.1 description of the whole API, made from the contracts. */
export function openApiDocument(version: string): Json {
  const paths: Record<string, Record<string, Json>> = {};
  for (const route of ROUTES) (paths[route.path] ??= {})[route.method] = operation(route);
  return {
    openapi: '3.1.0',
    info: { title: 'Yellow Pane', version, license: { name: 'MIT' } },
    paths,
    components: { schemas: { Problem: problemSchema } },
  };
}

function operation(route: Route): Json {
  const names = [...route.path.matchAll(/\{(\w+)\}/g)].map((match) => match[1] ?? '');
  const parameters: Json[] = names.map((name) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  if (route.needsIfMatch === true)
    parameters.push({
      name: 'If-Match',
      in: 'header',
      required: true,
      description: 'version seen, such as "3"',
      schema: { type: 'string' },
    });
  const content: Json =
    route.kind === undefined
      ? { 'application/json': { schema: schemaOf(route.answer, 'output') } }
      : { [route.kind]: { schema: { type: 'string' } } };
  return {
    summary: route.says,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(route.body === undefined
      ? {}
      : {
          requestBody: {
            required: true,
            content: { 'application/json': { schema: schemaOf(route.body, 'input') } },
          },
        }),
    responses: {
      200: { description: 'done', content },
      default: {
        description: 'refused',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    },
  };
}

function schemaOf(schema: z.ZodType | undefined, io: 'input' | 'output'): unknown {
  return schema === undefined ? {} : z.toJSONSchema(schema, { io, unrepresentable: 'any' });
}
