<?php

return ['default' => env('CACHE_STORE', 'database'), 'prefix' => 'gnomic'];
