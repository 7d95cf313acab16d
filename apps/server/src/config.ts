import { z } from 'zod';

const schema = z.object({
  DATABASE_URL: z.url(),
  PORT: z.coerce.number().int().min(1).max(65535).default(4310),
  HOST: z.string().default('127.0.0.1'),
  SESSION_SECRET: z.string().min(32),
  WEB_FOLDER: z.string(),
  LIBRARY_FILE: z.string(),
  MIGRATIONS_FOLDER: z.string(),
  SECURE_COOKIES: z.enum(['true', 'false']).default('false'),
  OPEN_CALC: z.enum(['true', 'false']).optional(),
  WEATHER_STATIONS_URL: z.url().optional(),
  CLINICS_URL: z.url().optional(),
  SIGN_IN_TRIES: z.coerce.number().int().min(1).max(10_000).default(10),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug']).default('info'),
});

export type Config = z.infer<typeof schema>;

/** Read the configuration from the environment. @throws Error that names each variable that is missing or wrong */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const result = schema.safeParse(environment);
  if (!result.success) throw new Error(`The server's configuration is not right:\n${z.prettifyError(result.error)}`);
  return result.data;
}

export const isLoopback = (host: string) => host === 'localhost' || host === '::1' || host.startsWith('127.');
