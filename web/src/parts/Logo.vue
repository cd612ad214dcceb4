<template>
  <svg viewBox="0 0 32 32" class="size-8" aria-hidden="true" fill="currentColor">
    <rect x="4" y="13" width="3.4" height="11" />
    <rect x="9.2" y="8" width="3.4" height="16" />
    <rect x="14.4" y="4" width="3.4" height="20" />
    <rect x="19.6" y="10" width="3.4" height="14" />
    <rect x="24.8" y="15" width="3.4" height="9" />
    <rect x="2" y="26" width="28.4" height="2.4" />
  </svg>
</template>
