<!-- The mark: a ladder in a cell. -->
<template>
  <svg viewBox="0 0 48 48" width="30" height="30" aria-hidden="true">
    <path d="M14 4h20l10 20-10 20H14L4 24z" fill="var(--honey)" stroke="var(--ink)" stroke-width="3" stroke-linejoin="round" />
    <path d="M18 10v28M30 10v28M18 17h12M18 24h12M18 31h12" stroke="var(--on-honey)" stroke-width="3" stroke-linecap="round" />
  </svg>
</template>
