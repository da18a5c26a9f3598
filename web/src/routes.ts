import { createRouter, createWebHistory } from 'vue-router'
import { useTeacher } from '@/composables/useTeacher'
import { words } from '@/words'

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', name: 'shelf', component: () => import('@/screens/Shelf.vue'), meta: { teacher: true } },
    { path: '/sign-in', name: 'sign-in', component: () => import('@/screens/SignIn.vue') },
    { path: '/sign-up', name: 'sign-up', component: () => import('@/screens/SignUp.vue') },
    { path: '/password', name: 'forgot', component: () => import('@/screens/ForgotPassword.vue') },
    { path: '/password/:token', name: 'reset', component: () => import('@/screens/ForgotPassword.vue'), props: true },
    { path: '/classes', name: 'classes', component: () => import('@/screens/Classes.vue'), meta: { teacher: true } },
    {
      path: '/classes/:id(\\d+)',
      name: 'class',
      component: () => import('@/screens/ClassScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true },
    },
    {
      path: '/classes/:id(\\d+)/cards',
      name: 'cards',
      component: () => import('@/screens/ClassCards.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true },
    },
    {
      path: '/assignments/:id(\\d+)',
      name: 'assignment',
      component: () => import('@/screens/AssignmentScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true },
    },
    { path: '/class/:link', name: 'own', component: () => import('@/screens/StudentClass.vue'), props: true, meta: { bare: true } },
    { path: '/join', name: 'join-code', component: () => import('@/screens/JoinWithCode.vue'), meta: { bare: true } },
    { path: '/join/:code', name: 'join', component: () => import('@/screens/JoinLesson.vue'), props: true, meta: { bare: true } },
    {
      path: '/live/:id(\\d+)',
      name: 'live',
      component: () => import('@/screens/LiveWindow.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true, bare: true },
    },
    {
      path: '/live/:id(\\d+)/walk',
      name: 'walk',
      component: () => import('@/screens/LiveWalk.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true },
    },
    { path: '/shared/:link', name: 'shared', component: () => import('@/screens/SharedView.vue'), props: true, meta: { bare: true } },
    { path: '/account', name: 'account', component: () => import('@/screens/Account.vue'), meta: { teacher: true } },
    { path: '/administer', name: 'administer', component: () => import('@/screens/Administer.vue'), meta: { teacher: true } },
    {
      path: '/lessons/:id(\\d+)',
      name: 'lesson',
      component: () => import('@/screens/LessonView.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true },
    },
    {
      path: '/lessons/:id(\\d+)/show',
      name: 'show',
      component: () => import('@/screens/ShowLesson.vue'),
      props: (to) => ({ id: Number(to.params.id), from: Number(to.query.slide ?? 1) }),
      meta: { teacher: true, bare: true },
    },
    {
      path: '/lessons/:id(\\d+)/beside',
      name: 'beside',
      component: () => import('@/screens/BesideWall.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true, bare: true },
    },
    {
      path: '/ladder',
      name: 'own-ladder',
      component: () => import('@/screens/LadderBench.vue'),
      meta: { teacher: true },
    },
    {
      path: '/problem',
      name: 'problem',
      component: () => import('@/screens/WorkingBench.vue'),
      meta: { teacher: true },
    },
    {
      path: '/classes/:id(\\d+)/results',
      name: 'results',
      component: () => import('@/screens/Results.vue'),
      props: (to) => ({ id: Number(to.params.id), assignment: to.query.assignment ? Number(to.query.assignment) : undefined }),
      meta: { teacher: true },
    },
    {
      path: '/lessons/:id(\\d+)/ladder',
      name: 'bench',
      component: () => import('@/screens/LadderBench.vue'),
      props: (to) => ({ lesson: Number(to.params.id) }),
      meta: { teacher: true },
    },
    {
      path: '/lessons/:id(\\d+)/working',
      name: 'working',
      component: () => import('@/screens/WorkingBench.vue'),
      props: (to) => ({
        lesson: Number(to.params.id),
        place: to.query.slide ? { slide: Number(to.query.slide), block: Number(to.query.block ?? 0) } : undefined,
        onto: to.query.onto ? Number(to.query.onto) : undefined,
      }),
      meta: { teacher: true },
    },
    {
      path: '/ladders/:id(\\d+)',
      name: 'ladder',
      component: () => import('@/screens/LadderScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { teacher: true },
    },
    {
      path: '/desk/:link',
      name: 'desk',
      component: () => import('@/screens/StepDesk.vue'),
      props: true,
      meta: { bare: true },
    },
    { path: '/:rest(.*)*', redirect: { name: 'shelf' } },
  ],
})

router.beforeEach(async (to) => {
  if (!to.meta.teacher) return true
  const { load } = useTeacher()
  // An unreachable server is told by the screen itself; only a missing sign-in leads away.
  return (await load()) === 'nobody' ? { name: 'sign-in', query: { to: to.fullPath } } : true
})

router.afterEach(() => {
  document.title = words.name
})
