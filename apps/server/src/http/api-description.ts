import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import { KIT_SCHEMAS, PLAN_JSON_SCHEMA, TAKE_SCHEMA } from '@still-heron/core';

/** Schemas of the documents that the core declares and checks. */
const SCHEMAS = {
  Plan: {
    ...PLAN_JSON_SCHEMA,
    description: 'A shot plan. Lengths in mm (null for infinity), times in s, angles in degrees. Older forms are upgraded.',
  },
  Take: { ...TAKE_SCHEMA, description: 'A take. Lengths in mm, times in s from its start.' },
  TakeWithoutTrack: { ...without(TAKE_SCHEMA, 'track'), description: 'A take without its recorded ring.' },
  KitItem: {
    anyOf: Object.values(KIT_SCHEMAS),
    description: 'A camera, lens, wheel or rig. Lengths in mm (null for infinity), angles in degrees.',
  },
};

/** OpenAPI description of all requests. */
export function describeApi(app: NestExpressApplication): OpenAPIObject {
  const description = new DocumentBuilder()
    .setOpenAPIVersion('3.1.0')
    .setTitle('Still Heron')
    .setDescription('Productions, their shots with plans and takes, and the kit that the shots use.')
    .setVersion('1')
    .build();
  const document = SwaggerModule.createDocument(app, description);
  return {
    ...document,
    components: { ...document.components, schemas: { ...document.components?.schemas, ...(SCHEMAS as object) } },
  };
}

/** The schema of an object without one of its fields. */
function without(schema: typeof TAKE_SCHEMA, field: string): typeof TAKE_SCHEMA {
  const { [field]: _, ...properties } = schema['properties'] as Record<string, unknown>;
  return { ...schema, properties, required: (schema['required'] as readonly string[]).filter((name) => name !== field) };
}
