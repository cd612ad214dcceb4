import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory('/'),
  scrollBehavior: () => ({ top: 0 }),
  routes: [
    { path: '/', name: 'day', component: () => import('./views/Day.vue'), meta: { title: 'Day' } },
    { path: '/clients/:id', name: 'client', component: () => import('./views/Client.vue'), meta: { title: 'Client' } },
    {
      path: '/practice',
      name: 'practice',
      component: () => import('./views/Practice.vue'),
      meta: { title: 'Practice' },
    },
    {
      path: '/practice/drill',
      name: 'drill',
      component: () => import('./views/EyeDrill.vue'),
      meta: { title: 'Eye drill' },
    },
    {
      path: '/practice/:id',
      name: 'debrief',
      component: () => import('./views/Debrief.vue'),
      meta: { title: 'Debrief' },
    },
    { path: '/shelf', name: 'shelf', component: () => import('./views/Shelf.vue'), meta: { title: 'Shelf' } },
    { path: '/numbers', name: 'numbers', component: () => import('./views/Numbers.vue'), meta: { title: 'Numbers' } },
    {
      path: '/studio/eye',
      name: 'calibrate',
      component: () => import('./views/Calibrate.vue'),
      meta: { title: 'Your eye' },
    },
    {
      path: '/begin',
      name: 'begin',
      component: () => import('./views/Begin.vue'),
      meta: { title: 'Begin', isOpen: true },
    },
    {
      path: '/account',
      name: 'account',
      component: () => import('./views/Account.vue'),
      meta: { title: 'Your account' },
    },
    {
      path: '/invitation/:secret',
      name: 'invitation',
      component: () => import('./views/Invitation.vue'),
      meta: { title: 'An invitation', isOpen: true },
    },
    {
      path: '/reset/:uid/:token',
      name: 'reset',
      component: () => import('./views/Reset.vue'),
      meta: { title: 'A new password', isOpen: true },
    },
    { path: '/studio', name: 'studio', component: () => import('./views/Studio.vue'), meta: { title: 'Studio' } },
    {
      path: '/request/:secret',
      name: 'request',
      component: () => import('./views/Request.vue'),
      meta: { title: 'Ask for a visit', isOpen: true },
    },
    {
      path: '/services/:id',
      component: () => import('./views/Service.vue'),
      children: [
        { path: '', name: 'service', component: () => import('./views/ServiceHere.vue') },
        {
          path: 'consultation',
          name: 'consultation',
          component: () => import('./views/Consultation.vue'),
          meta: { title: 'Consultation' },
        },
        {
          path: 'strands',
          name: 'strands',
          component: () => import('./views/Strands.vue'),
          meta: { title: 'Strand bench' },
        },
        { path: 'plan', name: 'plan', component: () => import('./views/Plan.vue'), meta: { title: 'Plan' } },
        { path: 'chair', name: 'chair', component: () => import('./views/Chair.vue'), meta: { title: 'Chair' } },
        { path: 'review', name: 'review', component: () => import('./views/Review.vue'), meta: { title: 'Review' } },
        { path: 'tone', name: 'tone', component: () => import('./views/Tone.vue'), meta: { title: 'Tone' } },
        { path: 'record', name: 'record', component: () => import('./views/Record.vue'), meta: { title: 'Record' } },
      ],
    },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/Nowhere.vue') },
  ],
})
