import { createRouter, createWebHistory } from 'vue-router'
import { $t } from './lib/i18n'

declare module 'vue-router' {
  interface RouteMeta {
    /** What the window is called; made when it is needed. */
    title?: () => string
    /** Open to who is not signed in. */
    isOpen?: boolean
  }
}

export const router = createRouter({
  history: createWebHistory('/'),
  scrollBehavior: (_, from) => (from.matched.length ? { top: 0 } : false), // a page just opened is at its top
  routes: [
    { path: '/', name: 'day', component: () => import('./views/Day.vue'), meta: { title: () => $t('common.day') } },
    {
      path: '/clients/:id',
      name: 'client',
      component: () => import('./views/Client.vue'),
      meta: { title: () => $t('router.client') },
    },
    {
      path: '/practice',
      name: 'practice',
      component: () => import('./views/Practice.vue'),
      meta: { title: () => $t('common.practice') },
    },
    {
      path: '/practice/drill',
      name: 'drill',
      component: () => import('./views/EyeDrill.vue'),
      meta: { title: () => $t('common.eyeDrill') },
    },
    {
      path: '/practice/:id',
      name: 'debrief',
      component: () => import('./views/Debrief.vue'),
      meta: { title: () => $t('common.debrief') },
    },
    {
      path: '/shelf',
      name: 'shelf',
      component: () => import('./views/Shelf.vue'),
      meta: { title: () => $t('common.shelf') },
    },
    {
      path: '/numbers',
      name: 'numbers',
      component: () => import('./views/Numbers.vue'),
      meta: { title: () => $t('common.numbers') },
    },
    {
      path: '/studio/eye',
      name: 'calibrate',
      component: () => import('./views/Calibrate.vue'),
      meta: { title: () => $t('common.yourEye') },
    },
    {
      path: '/begin',
      name: 'begin',
      component: () => import('./views/Begin.vue'),
      meta: { title: () => $t('common.begin'), isOpen: true },
    },
    {
      path: '/account',
      name: 'account',
      component: () => import('./views/Account.vue'),
      meta: { title: () => $t('common.yourAccount') },
    },
    {
      path: '/invitation/:secret',
      name: 'invitation',
      component: () => import('./views/Invitation.vue'),
      meta: { title: () => $t('common.anInvitation'), isOpen: true },
    },
    {
      path: '/reset/:uid/:token',
      name: 'reset',
      component: () => import('./views/Reset.vue'),
      meta: { title: () => $t('common.aNewPassword'), isOpen: true },
    },
    {
      path: '/studio',
      name: 'studio',
      component: () => import('./views/Studio.vue'),
      meta: { title: () => $t('common.studio') },
    },
    {
      path: '/request/:secret',
      name: 'request',
      component: () => import('./views/Request.vue'),
      meta: { title: () => $t('router.askForAVisit'), isOpen: true },
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
          meta: { title: () => $t('common.consultation') },
        },
        {
          path: 'strands',
          name: 'strands',
          component: () => import('./views/Strands.vue'),
          meta: { title: () => $t('common.strandBench') },
        },
        {
          path: 'plan',
          name: 'plan',
          component: () => import('./views/Plan.vue'),
          meta: { title: () => $t('common.plan') },
        },
        {
          path: 'chair',
          name: 'chair',
          component: () => import('./views/Chair.vue'),
          meta: { title: () => $t('common.chair') },
        },
        {
          path: 'review',
          name: 'review',
          component: () => import('./views/Review.vue'),
          meta: { title: () => $t('common.review') },
        },
        {
          path: 'tone',
          name: 'tone',
          component: () => import('./views/Tone.vue'),
          meta: { title: () => $t('common.tone') },
        },
        {
          path: 'record',
          name: 'record',
          component: () => import('./views/Record.vue'),
          meta: { title: () => $t('common.record') },
        },
      ],
    },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/Nowhere.vue') },
  ],
})
