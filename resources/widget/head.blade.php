@if (! $plan->head->isEmpty())
<div class="head{{ $plan->spread() === null ? '' : ' bars' }}" part="head">
@if ($plan->head->heading !== null)
<p class="heading" part="heading" role="heading" aria-level="2" dir="auto">{{ $plan->head->heading }}</p>
@endif
@if ($plan->head->line !== null)
<p class="line" part="line" dir="auto">{{ $plan->head->line }}</p>
@endif
@if ($plan->head->hasRow())
<div class="row">
@if ($plan->head->account !== null)
<div class="account">
@if ($plan->head->face->address !== null)
<img class="face" part="face" src="{{ $plan->head->face->address }}" width="40" height="40" alt="" loading="lazy" referrerpolicy="no-referrer">
@else
<span class="face u{{ $plan->head->face->tone }}" part="face" aria-hidden="true">{{ $plan->head->face->initials }}</span>
@endif
<p class="quiet"><bdi class="name" part="name">{{ $plan->head->account->name }}</bdi>@if ($plan->head->posts !== null)<span class="posts">{{ $plan->head->posts }}</span>@endif
@if ($plan->head->account->bio !== null) <span dir="auto">{{ $plan->head->account->bio }}</span>@endif</p>
</div>
@endif
@include('widget::figures')
@if (! $plan->hasActionsBelow())
@include('widget::actions')
@endif
</div>
@endif
</div>
@endif
