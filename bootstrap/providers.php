<?php

return [App\Providers\GnomicServiceProvider::class];
