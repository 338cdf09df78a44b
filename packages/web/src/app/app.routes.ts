import type { Routes } from '@angular/router';

/** Every place and page, each loaded when it is first opened. */
export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'shelf' },
  { path: 'shelf', title: 'Shelf · Trug', loadComponent: async () => (await import('./features/shelf/shelf')).Shelf },
  { path: 'new', title: 'New batch · Trug', loadComponent: async () => (await import('./features/new-batch/new-batch')).NewBatch },
  { path: 'batch/:id', title: 'Batch · Trug', loadComponent: async () => (await import('./features/batch/batch-page')).BatchPage },
  { path: 'batch/:id/read', title: 'Write down a reading · Trug', loadComponent: async () => (await import('./features/reading/reading-page')).ReadingPage },
  {
    path: 'batch/:id/read/:entryId',
    title: 'Correct a reading · Trug',
    loadComponent: async () => (await import('./features/reading/reading-page')).ReadingPage,
  },
  { path: 'batch/:id/pitch', title: 'Pitch · Trug', loadComponent: async () => (await import('./features/pitch/pitch-page')).PitchPage },
  { path: 'batch/:id/adjust', title: 'Adjust · Trug', loadComponent: async () => (await import('./features/adjust/adjust-page')).AdjustPage },
  { path: 'batch/:id/split', title: 'Split it · Trug', loadComponent: async () => (await import('./features/split/split-page')).SplitPage },
  { path: 'batch/:id/note', title: 'Note · Trug', loadComponent: async () => (await import('./features/note/note-page')).NotePage },
  { path: 'batch/:id/move', title: 'Move it · Trug', loadComponent: async () => (await import('./features/note/move-page')).MovePage },
  { path: 'batch/:id/restart', title: 'Set it going again · Trug', loadComponent: async () => (await import('./features/restart/restart-page')).RestartPage },
  { path: 'batch/:id/rack', title: 'Rack · Trug', loadComponent: async () => (await import('./features/rack/rack-page')).RackPage },
  { path: 'batch/:id/bottle', title: 'Bottle bench · Trug', loadComponent: async () => (await import('./features/bottle/bottle-bench')).BottleBench },
  { path: 'juice', title: 'Juice · Trug', loadComponent: async () => (await import('./features/juice/place/juice-place')).JuicePlace },
  { path: 'juice/blend', title: 'Blend bench · Trug', loadComponent: async () => (await import('./features/juice/bench/blend-bench')).BlendBench },
  { path: 'juice/press', title: 'Press day · Trug', loadComponent: async () => (await import('./features/juice/press/press-day')).PressDay },
  { path: 'juice/press/:id', title: 'Press day · Trug', loadComponent: async () => (await import('./features/juice/press/press-day')).PressDay },
  { path: 'juice/steep', title: 'Steep · Trug', loadComponent: async () => (await import('./features/juice/steep/steep-page')).SteepPage },
  { path: 'juice/new', title: 'Write down a juice · Trug', loadComponent: async () => (await import('./features/juice/form/juice-page')).JuicePage },
  { path: 'juice/:id', title: 'Juice · Trug', loadComponent: async () => (await import('./features/juice/form/juice-page')).JuicePage },
  { path: 'cellar', title: 'Cellar · Trug', loadComponent: async () => (await import('./features/cellar/cellar')).Cellar },
  { path: 'cupboard', title: 'Cupboard · Trug', loadComponent: async () => (await import('./features/cupboard/cupboard')).Cupboard },
  { path: 'settings', title: 'Settings · Trug', loadComponent: async () => (await import('./features/settings/settings-page')).SettingsPage },
  { path: ':place', loadComponent: async () => (await import('./features/places/coming-place')).ComingPlace },
];
