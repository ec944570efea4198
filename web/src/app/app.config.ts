import {
  type ApplicationConfig,
  inject,
  isDevMode,
  provideAppInitializer,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
} from '@angular/core';
import { provideRouter, withComponentInputBinding, withNavigationErrorHandler } from '@angular/router';
import { provideNgIconsConfig, withContentSecurityPolicy } from '@ng-icons/core';
import { provideEffects } from '@ngrx/effects';
import { provideStore } from '@ngrx/store';
import { routes } from './app.routes';
import { Drafts } from './device/drafts';
import * as jobEffects from './job/job.effects';
import { jobFeature } from './job/job.feature';
import { loadNewPage } from './shell/missing-part';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideAppInitializer(() => inject(Drafts).load()),
    provideBrowserGlobalErrorListeners(),
    provideRouter(routes, withComponentInputBinding(), withNavigationErrorHandler(loadNewPage)),
    provideStore(
      { [jobFeature.name]: jobFeature.reducer },
      { runtimeChecks: { strictStateImmutability: isDevMode(), strictActionImmutability: isDevMode() } },
    ),
    provideEffects(jobEffects),
    provideNgIconsConfig({}, withContentSecurityPolicy()),
  ],
};
