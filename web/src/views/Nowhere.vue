<template>
  <main id="main" class="mx-auto max-w-xl p-10">
    <h1 class="text-3xl">There is no such page</h1>
    <p class="mt-2 text-soft">Go back to the day and open the service from there.</p>
    <RouterLink class="btn btn-act mt-6" to="/">To the day</RouterLink>
  </main>
</template>
