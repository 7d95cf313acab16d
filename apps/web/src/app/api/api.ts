import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type {
  ClinicOffer,
  ClinicReport,
  GardenContents,
  GardenSettings,
  GardenSummary,
  Member,
  Session,
  Stored,
  Subject,
  WeatherAnswer,
  WeatherSource,
  Written,
} from '@field-nurse/contract';
import type { WeatherHour } from '@field-nurse/core/timing';
import { catchError, throwError } from 'rxjs';
import type { Observable } from 'rxjs';
import { ApiError } from './api-error';

const base = '/api/v1';

/** All calls of the pages to the server. Errors arrive as ApiError. */
@Injectable({ providedIn: 'root' })
export class Api {
  readonly #http = inject(HttpClient);

  session = () => this.#get<Session>('/session');
  signIn = (email: string, password: string) => this.#post<Session>('/session', { email, password });
  signUp = (name: string, email: string, password: string) => this.#post<Session>('/people', { name, email, password });
  signOut = () => this.#post<Session>('/session/end', {});

  createGarden = (id: string, settings: GardenSettings) => this.#post<GardenSummary>('/gardens', { id, settings });
  changeGarden = (id: string, settings: GardenSettings) => this.#put<GardenSummary>(`/gardens/${id}`, settings);
  gardenContents = (id: string) => this.#get<GardenContents>(`/gardens/${id}`);
  members = (id: string) => this.#get<Member[]>(`/gardens/${id}/members`);
  addMember = (id: string, email: string, role: Member['role']) => this.#post<Member[]>(`/gardens/${id}/members`, { email, role });

  write = <S extends Subject>(garden: string, subject: S, id: string, body: { change: string; version: number; value: Written<S> }) =>
    this.#put<Stored<S>>(`/gardens/${garden}/${subject}/${id}`, body);
  sendPhoto = (garden: string, id: string, image: Blob) =>
    this.#put<{ id: string; width: number; height: number }>(`/gardens/${garden}/photos/${id}`, image);
  undo = (garden: string, change: string, undoes: string) =>
    this.#post<{ subject: Subject; recordId: string; record: Stored<Subject> | null }>(`/gardens/${garden}/undo`, { change, undoes });

  weather = (garden: string, from: string, to: string) =>
    this.#get<WeatherAnswer>(`/gardens/${garden}/weather?from=${encodeURIComponent(from)}&to=${encodeURIComponent(to)}`);
  weatherSources = (garden: string) => this.#get<WeatherSource[]>(`/gardens/${garden}/weather/sources`);
  readStation = (garden: string) => this.#post<WeatherSource[]>(`/gardens/${garden}/weather/station`, {});
  addWeatherFile = (garden: string, file: { id: string; name: string; hours: readonly WeatherHour[] }) =>
    this.#post<WeatherSource[]>(`/gardens/${garden}/weather/files`, file);
  keepWeatherFile = (garden: string, id: string, kept: boolean) =>
    this.#post<WeatherSource[]>(`/gardens/${garden}/weather/files/kept`, { id, kept });
  stations = () => this.#get<{ id: string; name: string; simulated: boolean }[]>('/weather-stations');

  clinics = () => this.#get<ClinicOffer[]>('/clinics');
  clinicReports = (garden: string) => this.#get<ClinicReport[]>(`/gardens/${garden}/clinic-reports`);
  askClinics = (garden: string) => this.#post<ClinicReport[]>(`/gardens/${garden}/clinic-reports`, {});

  library = <T>() => this.#get<T>('/library');

  #get<T>(path: string): Observable<T> {
    return this.#http.get<T>(base + path).pipe(catchError(rethrow));
  }

  #post<T>(path: string, body: unknown): Observable<T> {
    return this.#http.post<T>(base + path, body).pipe(catchError(rethrow));
  }

  #put<T>(path: string, body: unknown): Observable<T> {
    return this.#http.put<T>(base + path, body).pipe(catchError(rethrow));
  }
}

const rethrow = (error: unknown) => throwError(() => ApiError.from(error));
