Hello,

somebody, we hope you, wants to set a new password for Gnomic. Open this address within {{ $minutes }} minutes; it is good for once:

{!! $address !!}

If it was not you, there is nothing to do: without this letter nobody can change your password.
