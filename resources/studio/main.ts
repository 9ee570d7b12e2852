import { mount } from 'svelte';
import App from './App.svelte';
import './app.css';

const target = document.getElementById('studio');
if (target) mount(App, { target });
