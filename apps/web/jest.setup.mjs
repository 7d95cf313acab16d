// Angular's own packages are finished by the compiler when they are loaded outside of a build.
import '@angular/compiler';
