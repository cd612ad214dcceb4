<template>
  <main id="main" class="mx-auto max-w-xl p-10">
    <h1 class="text-3xl">{{ $t('nowhere.thereIsNoSuchPage') }}</h1>
    <p class="mt-2 text-soft">{{ $t('nowhere.goBackToTheDay') }}</p>
    <RouterLink class="btn btn-act mt-6" to="/">{{ $t('common.toTheDay') }}</RouterLink>
  </main>
</template>
