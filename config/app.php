<?php

return [
    'name' => 'Gnomic',
    'timezone' => 'UTC',
    'maintenance' => ['driver' => 'file'],
];
