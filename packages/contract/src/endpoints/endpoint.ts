import { z } from 'zod';
import { id } from '../words.js';

/** One operation of the API: the server serves it, the document describes it, the pages call it. */
export interface Endpoint {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly summary: string;
  /** who may call it: anybody, somebody signed in, or a member of the garden in the path */
  readonly access: 'open' | 'person' | 'garden-read' | 'garden-comment' | 'garden-write' | 'garden-owner';
  /** asks for somebody who has signed in: a script's token is not enough */
  readonly signedIn?: true;
  /** reaches beyond the records of a garden: nothing for somebody who only looks round a demo garden */
  readonly needsAccount?: true;
  /** a calculation: it changes nothing, scripts call it, and how often is limited */
  readonly stateless?: true;
  readonly params?: z.ZodObject;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** the body is a file of this kind and size instead of JSON */
  readonly upload?: { readonly types: readonly string[]; readonly maxBytes: number };
  /** the status of the answer; 200 where it is left out */
  readonly answerStatus?: 202;
  /** media type of an answer that is no JSON */
  readonly answerType?: string;
  readonly answer: z.ZodType;
}

/** An endpoint with the types of its own schemas. */
export const define = <const E extends Endpoint>(endpoint: E): E => endpoint;
export const gardenParams = z.strictObject({ garden: id });
