<?php

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users']],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Models\User::class]],
    // Letters by which a password is set anew: kept as digests, good for once, for some minutes; one a minute.
    'passwords' => ['users' => ['driver' => 'cache', 'provider' => 'users', 'expire' => 30, 'throttle' => 60]],
];
