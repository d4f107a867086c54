import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import './style.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { createRouter, createWebHistory } from 'vue-router'
import App from './App.vue'
import PlanList from './pages/PlanList.vue'

const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: PlanList },
    { path: '/new', component: () => import('./pages/FirstRun.vue') },
    { path: '/plan/:id/:stage?/:tab?', component: () => import('./pages/Workspace.vue'), props: true },
    { path: '/guide/:page?', component: () => import('./pages/GuidePage.vue'), props: true },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})

createApp(App).use(createPinia()).use(router).mount('#app')
