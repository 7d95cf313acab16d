import { HttpClient, HttpEventType, HttpParams, HttpRequest } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { endpoints, GardenSettings, ListedRecord, Stored, Subject, Written } from '@field-nurse/contract';
import type { WeatherHour } from '@field-nurse/core/timing';
import type { LibraryParts, PartName } from '@field-nurse/library/parts';
import { catchError, mergeMap, of, throwError } from 'rxjs';
import type { Observable } from 'rxjs';
import type { z } from 'zod';
import { ApiError } from './api-error';

type Endpoints = typeof endpoints;
/** The endpoints by method and path: "get /api/v1/session". */
type Routes = { readonly [K in keyof Endpoints as `${Endpoints[K]['method']} ${Endpoints[K]['path']}`]: Endpoints[K] };
type Part<E, K extends 'params' | 'query' | 'body'> = E extends { readonly [k in K]: infer S extends z.ZodType }
  ? { readonly [k in K]: z.input<S> }
  : unknown;
type CallOf<E> = Part<E, 'params'> & Part<E, 'query'> & Part<E, 'body'>;
type ArgumentsOf<E> = unknown extends CallOf<E> ? [] : [call: CallOf<E>];
type AnswerOf<E> = E extends { readonly answer: infer S extends z.ZodType } ? z.output<S> : never;

/** What a call carries, whichever endpoint it goes to. */
interface AnyCall {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, string>>;
  readonly body?: unknown;
}

/**
 * All calls of the pages to the server. Addresses, what goes along and what comes back are those of the contract's endpoints, as types alone: the
 * schemas stay out of the pages. Errors arrive as ApiError.
 */
@Injectable({ providedIn: 'root' })
export class Api {
  readonly #http = inject(HttpClient);

  /** Call an endpoint by its method and path in the contract. */
  send<R extends keyof Routes>(route: R, ...[call]: ArgumentsOf<Routes[R]>): Observable<AnswerOf<Routes[R]>> {
    return this.#request(route, call ?? {});
  }

  health = () => this.send('get /api/health');
  session = () => this.send('get /api/v1/session');
  signIn = (email: string, password: string) => this.send('post /api/v1/session', { body: { email, password } });
  signUp = (name: string, email: string, password: string) => this.send('post /api/v1/people', { body: { name, email, password } });
  visit = () => this.send('post /api/v1/visit', { body: {} });
  signOut = () => this.send('post /api/v1/session/end', { body: {} });

  createGarden = (id: string, settings: GardenSettings) => this.send('post /api/v1/gardens', { body: { id, settings } });
  changeGarden = (garden: string, settings: GardenSettings) =>
    this.send('put /api/v1/gardens/{garden}', { params: { garden }, body: settings });
  gardenContents = (garden: string) => this.send('get /api/v1/gardens/{garden}', { params: { garden } });

  labelRegister = (garden: string, q: string) => this.send('get /api/v1/gardens/{garden}/register', { params: { garden }, query: { q } });
  newerRecords = (garden: string, since: number) =>
    this.send('get /api/v1/gardens/{garden}/records', { params: { garden }, query: { since: String(since) } });
  addRecords = (garden: string, records: readonly ListedRecord[]) =>
    this.send('post /api/v1/gardens/{garden}/records', { params: { garden }, body: { records: [...records] } });
  season = (garden: string, day: string) => this.send('get /api/v1/gardens/{garden}/seasons/{day}', { params: { garden, day } });
  pastVersions = (garden: string, record: string) =>
    this.send('get /api/v1/gardens/{garden}/records/{record}/versions', { params: { garden, record } });
  dayOfRecord = (garden: string, record: string) =>
    this.send('get /api/v1/gardens/{garden}/records/{record}/day', { params: { garden, record } });

  write = <S extends Subject>(garden: string, subject: S, id: string, body: { change: string; version: number; value: Written<S> }) =>
    this.#request<Stored<S>>(`put /api/v1/gardens/{garden}/${subject}/{record}`, { params: { garden, record: id }, body });
  sendPhoto = (garden: string, photo: string, image: Blob) =>
    this.#request<{ id: string; width: number; height: number }>('put /api/v1/gardens/{garden}/photos/{photo}', {
      params: { garden, photo },
      body: image,
    });
  undo = (garden: string, change: string, undoes: string) =>
    this.#request<{ subject: Subject; recordId: string; record: Stored<Subject> | null }>('post /api/v1/gardens/{garden}/undo', {
      params: { garden },
      body: { change, undoes },
    });

  weather = (garden: string, from: string, to: string) =>
    this.send('get /api/v1/gardens/{garden}/weather', { params: { garden }, query: { from, to } });
  weatherDays = (garden: string, from: string, to: string) =>
    this.send('get /api/v1/gardens/{garden}/weather/days', { params: { garden }, query: { from, to } });
  almanac = (garden: string) => this.send('get /api/v1/gardens/{garden}/almanac', { params: { garden } });
  weatherSources = (garden: string) => this.send('get /api/v1/gardens/{garden}/weather/sources', { params: { garden } });
  readStation = (garden: string) => this.send('post /api/v1/gardens/{garden}/weather/station', { params: { garden }, body: {} });
  addWeatherFile = (garden: string, { hours, ...file }: { id: string; name: string; hours: readonly WeatherHour[] }) =>
    this.send('post /api/v1/gardens/{garden}/weather/files', { params: { garden }, body: { ...file, hours: [...hours] } });
  keepWeatherFile = (garden: string, id: string, kept: boolean) =>
    this.send('post /api/v1/gardens/{garden}/weather/files/kept', { params: { garden }, body: { id, kept } });
  stations = () => this.send('get /api/v1/weather-stations');

  clinics = () => this.send('get /api/v1/clinics');
  clinicReports = (garden: string) => this.send('get /api/v1/gardens/{garden}/clinic-reports', { params: { garden } });
  askClinics = (garden: string) => this.send('post /api/v1/gardens/{garden}/clinic-reports', { params: { garden }, body: {} });

  /** Tells the share that is sent, from 0 to 1, and at last what came of it. */
  restoreGarden(archive: File, as?: string): Observable<number | AnswerOf<Endpoints['restoreGarden']>> {
    const call = new HttpRequest('POST', '/api/v1/restore', archive, {
      reportProgress: true,
      ...(as && { params: new HttpParams({ fromObject: { as } }) }),
    });
    return this.#http.request<AnswerOf<Endpoints['restoreGarden']>>(call).pipe(
      mergeMap((event) => {
        if (event.type === HttpEventType.UploadProgress) return of(event.loaded / (event.total ?? Infinity));
        return event.type === HttpEventType.Response ? of(event.body!) : [];
      }),
      catchError((error: unknown) => throwError(() => ApiError.from(error))),
    );
  }

  libraryPart = <P extends PartName>(part: P) => this.#request<LibraryParts[P]>('get /api/v1/library-parts/{part}', { params: { part } });

  #request<T>(route: string, { params = {}, query, body }: AnyCall): Observable<T> {
    const [method, path] = route.split(' ') as [string, string];
    const address = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(params[name]!));
    return this.#http
      .request<T>(method.toUpperCase(), address, { ...(query && { params: query }), ...(body !== undefined && { body }) })
      .pipe(catchError((error: unknown) => throwError(() => ApiError.from(error))));
  }
}
