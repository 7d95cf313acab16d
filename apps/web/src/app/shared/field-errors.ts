import type { FormGroup } from '@angular/forms';
import type { ApiError } from '../api/api-error';

/**
 * Put the server's issues beside their fields, under the key "server".
 *
 * @returns what is left to say above the buttons; empty when every issue found its field
 */
export function showFieldErrors(form: FormGroup, error: ApiError): string {
  let placed = 0;
  for (const [name, message] of error.fields) {
    const control = form.get(name);
    if (!control) continue;
    control.setErrors({ server: message });
    control.markAsTouched();
    placed++;
  }
  return placed > 0 && placed === error.fields.size ? '' : error.message;
}
