Hello,

Somebody, we hope it was you, asked to set a new password for Gnomic. Open this address within {{ $minutes }} minutes; it works once:

{!! $address !!}

If it was not you, do nothing: without this e-mail nobody can change your password.
