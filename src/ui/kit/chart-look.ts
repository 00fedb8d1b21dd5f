import { Chart } from 'chart.js';

// Charts write in the hand of the rest.
Chart.defaults.font.family = 'Atkinson Hyperlegible Next Variable, sans-serif';
Chart.defaults.font.size = 13;
